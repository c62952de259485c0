import type { Verdict } from '$core/measure/precision';
import { models, type VerdictRow } from '../database/models';
import { changedElsewhere } from '../refusal';
import { findBrief } from './briefs';
import { UniqueConstraintError } from 'sequelize';

const told = (row: VerdictRow) => ({
  verdict: row.verdict,
  reason: row.reason,
  by: row.by,
  revision: row.revision
});
export type ToldVerdict = ReturnType<typeof told>;

/** Verdicts of a persona on people of one source, by person; on some people only, where they are named. */
export async function verdictsOn(personaId: string, sourceId: string, personIds?: readonly string[]) {
  const rows = await models().Verdict.findAll({
    where: { personaId, sourceId, ...(personIds && { personId: [...personIds] }) }
  });
  return new Map(rows.map((row) => [row.personId, told(row)]));
}

/**
 * Gives, changes or (with null) takes back the verdict on a person. `revision` is the one last seen, 0 for none;
 * a verdict that was given elsewhere meanwhile is not overwritten.
 */
export async function giveVerdict(
  briefId: string,
  given: {
    sourceId: string;
    personId: string;
    verdict: Verdict | null;
    reason: string;
    revision: number;
    by?: 'person' | 'rule';
  }
): Promise<ToldVerdict | null> {
  const { personaId } = await findBrief(briefId);
  const { Verdict: Verdicts } = models();
  const where = { personaId, sourceId: given.sourceId, personId: given.personId };
  const { verdict, reason, revision, by = 'person' } = given;
  const refuse = async () => {
    const current = await Verdicts.findOne({ where });
    return changedElsewhere('This verdict', current && told(current));
  };
  if (verdict === null) {
    const removed = await Verdicts.destroy({ where: { ...where, revision } });
    if (!removed && (await Verdicts.count({ where }))) throw await refuse();
    return null;
  }
  if (revision === 0) {
    try {
      return told(await Verdicts.create({ ...where, verdict, reason, by }));
    } catch (error) {
      if (error instanceof UniqueConstraintError) throw await refuse();
      throw error;
    }
  }
  const [changed] = await Verdicts.update(
    { verdict, reason, by, revision: revision + 1 },
    { where: { ...where, revision, ...(by === 'rule' && { by }) } }
  );
  if (!changed) throw await refuse();
  return { verdict, reason, by, revision: revision + 1 };
}
