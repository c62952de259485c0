import {
  UniqueConstraintError,
  type Attributes,
  type CreationAttributes,
  type Model,
  type ModelStatic,
  type WhereOptions
} from 'sequelize';
import { changedElsewhere } from '../refusal';

/**
 * Writes, changes or (with null) takes away the row with a key. `revision` is the one last seen, 0 for none: a row that was written
 * elsewhere meanwhile is not overwritten, and the refusal (409) tells it. `name` is what the refusal calls it; `only` what a row must be to
 * be changed.
 */
export async function writeRevisioned<M extends Model & { revision: number }, T>(
  model: ModelStatic<M>,
  key: object,
  values: object | null,
  revision: number,
  { name, told, only = {} }: { name: string; told: (row: M) => T; only?: object }
): Promise<T | null> {
  const where = key as WhereOptions<Attributes<M>>;
  const seen = { ...key, revision } as object as WhereOptions<Attributes<M>>;
  const refuse = async () => {
    const current = await model.findOne({ where });
    return changedElsewhere(name, current && told(current));
  };
  if (values === null) {
    const removed = await model.destroy({ where: seen });
    if (!removed && (await model.count({ where }))) throw await refuse();
    return null;
  }
  if (revision === 0)
    try {
      return told(await model.create({ ...key, ...values } as CreationAttributes<M>));
    } catch (error) {
      if (error instanceof UniqueConstraintError) throw await refuse();
      throw error;
    }
  const [changed, [row]] = await model.update({ ...values, revision: revision + 1 } as never, {
    where: { ...seen, ...only } as WhereOptions<Attributes<M>>,
    returning: true
  });
  if (!changed) throw await refuse();
  return told(row!);
}
