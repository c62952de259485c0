import type { Transaction } from 'sequelize';
import type { Verdict } from '$core/measure';
import { database } from '$server/platform/database/connection';
import { models, type VerdictRow } from '$server/platform/database/models';
import { findBrief } from '$server/features/briefs/briefs';
import { personas } from '$server/features/briefs/personas';
import { writeRevisioned } from '$server/platform/database/revisioned-row';
import { nameOfRecord } from './record-name';

const serialize = (row: Pick<VerdictRow, 'verdict' | 'reason' | 'by' | 'revision'>) => ({
  verdict: row.verdict,
  reason: row.reason,
  by: row.by,
  revision: row.revision
});
export type SerializedVerdict = ReturnType<typeof serialize>;

/** A verdict as the API returns it; null where there is none. */
export const serializeVerdict = (row: Parameters<typeof serialize>[0] | undefined): SerializedVerdict | null =>
  row ? serialize(row) : null;

/** Verdicts of a persona on people of one source, by person; on some people only, where they are named. */
export async function verdictsOn(personaId: string, sourceId: string, personIds?: readonly string[]) {
  const rows = await models().Verdict.findAll({
    where: { personaId, sourceId, ...(personIds && { personId: [...personIds] }) }
  });
  return new Map(rows.map((row) => [row.personId, serialize(row)]));
}

export interface GivenVerdict {
  sourceId: string;
  personId: string;
  verdict: Verdict | null;
  reason: string;
  /** The one last seen, 0 for none. */
  revision: number;
  by?: 'person' | 'rule';
}

/** Writes a verdict, within a transaction if one is given. */
function write(personaId: string, given: GivenVerdict, transaction: Transaction | null) {
  const { sourceId, personId, verdict, reason, revision, by = 'person' } = given;
  return writeRevisioned(
    models().Verdict,
    { personaId, sourceId, personId },
    verdict && { verdict, reason, by },
    revision,
    { name: 'This verdict', serialize, transaction, ...(by === 'rule' && { only: { by } }) }
  );
}

/**
 * Gives, changes or (with null) takes back the verdict on a person. A verdict that was given elsewhere meanwhile is not
 * overwritten, nor one of a person by a rule.
 */
export async function giveVerdict(briefId: string, given: GivenVerdict): Promise<SerializedVerdict | null> {
  return write(await personaOf(briefId), given, null).catch(whereThereIs(briefId));
}

/** The same for many people in one transaction; the answers are in the order given. */
export async function judgeMany(
  briefId: string,
  given: readonly GivenVerdict[]
): Promise<(SerializedVerdict | null)[]> {
  const personaId = await personaOf(briefId);
  return database()
    .transaction(async (transaction) => {
      // Always in the same order, so that two who judge the same people never wait for each other.
      const order = [...given.keys()].sort((a, b) => (nameOfRecord(given[a]!) < nameOfRecord(given[b]!) ? -1 : 1));
      const answers: (SerializedVerdict | null)[] = [];
      for (const i of order) answers[i] = await write(personaId, given[i]!, transaction);
      return answers;
    })
    .catch(whereThereIs(briefId));
}

/** Tells an error as it is, unless the brief itself is not there: it may have been deleted. */
const whereThereIs =
  (briefId: string) =>
  async (error: unknown): Promise<never> => {
    await findBrief(briefId);
    throw error;
  };

async function personaOf(briefId: string): Promise<string> {
  let personaId = personas.get(briefId);
  if (!personaId) personas.set(briefId, (personaId = (await findBrief(briefId)).personaId));
  return personaId;
}
