import type { Verdict } from '$core/measure';
import { models, type VerdictRow } from '../database/models';
import { findBrief } from './briefs';
import { writeRevisioned } from './revisioned-row';

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
  const { sourceId, personId, verdict, reason, revision, by = 'person' } = given;
  return writeRevisioned(
    models().Verdict,
    { personaId, sourceId, personId },
    verdict && { verdict, reason, by },
    revision,
    { name: 'This verdict', told, ...(by === 'rule' && { only: { by } }) }
  );
}
