import {
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelAttributes,
  type ModelStatic
} from 'sequelize';
import { database } from './connection';

export interface Row<M extends Model> extends Model<InferAttributes<M>, InferCreationAttributes<M>> {}

const { DATE } = DataTypes;

/** Which times a table keeps of its rows: when they were made, and when they were changed. */
type Stamps = 'both' | 'created' | 'none';

/** A table of the database as Sequelize sees it. */
export function define<M extends Model>(name: string, table: string, columns: object, stamps: Stamps): ModelStatic<M> {
  const attributes = {
    ...columns,
    ...(stamps !== 'none' && { createdAt: DATE }),
    ...(stamps === 'both' && { updatedAt: DATE })
  } as ModelAttributes<M>;
  return database().define<M>(name, attributes, {
    tableName: table,
    underscored: true,
    timestamps: stamps !== 'none',
    updatedAt: stamps === 'both' ? 'updatedAt' : false
  });
}
