import {
  UniqueConstraintError,
  type Attributes,
  type CreationAttributes,
  type Model,
  type ModelStatic,
  type Transaction,
  type WhereOptions
} from 'sequelize';
import { changedElsewhere } from '../refusals';

/** Values were checked at the edge, and PostgreSQL checks them again: Sequelize's own checks take as long as both. */
const asGiven = { hooks: false, validate: false } as const;

/**
 * Creates, changes or (with null) deletes the row with a key, and returns it.
 * @param revision the one last seen, 0 for none: a newer row is never overwritten
 * @param options `name` is what a refusal calls the row; `only` are further conditions on it
 * @throws Refusal `changed-elsewhere` with the current row
 */
export async function writeRevisioned<M extends Model & { revision: number }, T>(
  model: ModelStatic<M>,
  key: object,
  values: object | null,
  revision: number,
  {
    name,
    serialize,
    only = {},
    transaction = null
  }: { name: string; serialize: (row: M) => T; only?: object; transaction?: Transaction | null }
): Promise<T | null> {
  const where = key as WhereOptions<Attributes<M>>;
  const seen = { ...key, revision } as object as WhereOptions<Attributes<M>>;
  const refuse = async () => {
    const current = await model.findOne({ where, transaction });
    return changedElsewhere(name, current && serialize(current));
  };
  if (values === null) {
    const removed = await model.destroy({ where: seen, transaction });
    if (!removed && (await model.count({ where, transaction }))) throw await refuse();
    return null;
  }
  if (revision === 0)
    try {
      const create = async (within: Transaction | null) =>
        serialize(
          await model.create({ ...key, ...values } as CreationAttributes<M>, { ...asGiven, transaction: within })
        );
      // In a nested transaction, because an error would end the outer one.
      return await (transaction ? model.sequelize!.transaction({ transaction }, create) : create(null));
    } catch (error) {
      if (error instanceof UniqueConstraintError) throw await refuse();
      throw error;
    }
  const [changed, [row]] = await model.update({ ...values, revision: revision + 1 } as never, {
    where: { ...seen, ...only } as WhereOptions<Attributes<M>>,
    returning: true,
    ...asGiven,
    transaction
  });
  if (!changed) throw await refuse();
  return serialize(row!);
}
