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

/** What was given was checked at the edge, and PostgreSQL checks it again: Sequelize's own checks take as long as both. */
const asGiven = { hooks: false, validate: false } as const;

/**
 * Writes, changes or (with null) takes away the row with a key. `revision` is the one last seen, 0 for none: a row that was written
 * elsewhere meanwhile is not overwritten, and the refusal (409) holds it. `name` is what the refusal calls it; `only` what a row must be to
 * be changed.
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
      // Within a transaction in one of its own, as the outer one does not outlive an error.
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
