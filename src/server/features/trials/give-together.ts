import { prepared } from '$server/platform/database/prepared';
import { JoinedWrites } from '$server/platform/joined-writes';
import type { RecordVerdict } from './judged';
import { nameOfRecord } from './record-name';

/** What was given elsewhere meanwhile is left as it is, and so is what a person said by what a rule would say. */
const giveAll = `
  WITH given AS (
    SELECT * FROM json_to_recordset($2)
      AS g ("sourceId" text, "personId" text, verdict text, reason text, by text, revision integer)),
  changed AS (
    UPDATE verdicts v SET verdict = g.verdict, reason = g.reason, by = g.by, revision = v.revision + 1, updated_at = clock_timestamp()
    FROM given g
    WHERE v.persona_id = $1 AND v.source_id = g."sourceId" AND v.person_id = g."personId" AND v.revision = g.revision
      AND (g.by = 'person' OR v.by = g.by)
    RETURNING v.*),
  created AS (
    INSERT INTO verdicts (persona_id, source_id, person_id, verdict, reason, by, created_at, updated_at)
    SELECT $1, g."sourceId", g."personId", g.verdict, g.reason, g.by, now(), clock_timestamp() FROM given g WHERE g.revision = 0
    ON CONFLICT DO NOTHING
    RETURNING *)
  SELECT source_id AS "sourceId", person_id AS "personId", verdict, reason, by, revision
  FROM (SELECT * FROM changed UNION ALL SELECT * FROM created) AS written`;

/** Of each the verdict as it stands; null where another was given meanwhile. */
async function writeGiven(personaId: string, given: RecordVerdict[]): Promise<(RecordVerdict | null)[]> {
  // Always in the same order, so that two servers that write of the same people never wait for each other.
  const inOrder = [...given].sort((a, b) => (nameOfRecord(a) < nameOfRecord(b) ? -1 : 1));
  const rows = await prepared<RecordVerdict>('give verdicts', giveAll, [personaId, JSON.stringify(inOrder)]);
  const written = new Map(rows.map((row) => [nameOfRecord(row), row]));
  return given.map((one) => written.get(nameOfRecord(one)) ?? null);
}

const joined = new JoinedWrites(writeGiven, nameOfRecord);

/**
 * Gives the verdict of a persona on one person, or changes it where `revision`, the one last seen, is not 0; null where
 * another was given meanwhile. Those given at once are one statement.
 */
export const giveTogether = (personaId: string, given: RecordVerdict): Promise<RecordVerdict | null> =>
  joined.of(personaId, given);
