import { createHmac } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import { objectionKeys, type Person } from '$core/people';
import { database } from '$server/platform/database/connection';
import { installationSecret } from '$server/platform/installation-key';
import { recordName } from '../record-name';

/** A record of somebody at a source. */
interface SourceRecord {
  sourceId: string;
  person: Person;
}

/** What a record is recognised by: its keys, those that several people may share last, and the record's own id. */
export function namesOf({ sourceId, person }: SourceRecord): string[] {
  const { own, shared } = objectionKeys(person);
  return [`record ${sourceId} ${person.id}`, ...[...own, ...shared].map((key) => `key ${key}`)];
}

/** A keyed hash (HMAC-SHA-256, RFC 2104) of what somebody is known by: nobody without the key of the installation finds out who it is. */
export async function objectionHash(name: string): Promise<string> {
  const key = await installationSecret('objections');
  return createHmac('sha256', key).update(name).digest('base64');
}

let known: { mark: string; hashes: ReadonlySet<string> } = { mark: '', hashes: new Set() };

/** The hashes of all who objected; read again when others have come. */
async function objectedHashes(transaction?: Transaction): Promise<ReadonlySet<string>> {
  const within = { type: QueryTypes.SELECT, ...(transaction && { transaction }) } as const;
  const [now] = await database().query<{ mark: string; rows: number }>(
    `SELECT concat(count(*), ' ', max(at)) AS mark FROM objections`,
    within
  );
  if (now!.mark === known.mark) return known.hashes;
  const rows = await database().query<{ hash: string }>(
    `SELECT encode(hash, 'base64') AS hash FROM objections`,
    within
  );
  known = { mark: now!.mark, hashes: new Set(rows.map(({ hash }) => hash)) };
  return known.hashes;
}

/** Records without those of people who objected; asked within a transaction where one is in progress. */
export async function withoutObjected<R extends SourceRecord>(
  records: readonly R[],
  transaction?: Transaction
): Promise<R[]> {
  const hashes = await objectedHashes(transaction);
  if (!hashes.size || !records.length) return [...records];
  const key = await installationSecret('objections');
  const hash = (name: string) => createHmac('sha256', key).update(name).digest('base64');
  return records.filter((record) => !namesOf(record).some((name) => hashes.has(hash(name))));
}

/** Which of these records, known by their ids alone, are of people who objected. */
export async function objectedRecords(
  records: readonly { sourceId: string; personId: string }[],
  transaction?: Transaction
): Promise<Set<string>> {
  const asRecords = records.map(({ sourceId, personId }) => ({ sourceId, person: { id: personId, name: '' } }));
  const allowed = new Set(await withoutObjected(asRecords, transaction));
  return new Set(asRecords.flatMap((one) => (allowed.has(one) ? [] : [recordName(one.sourceId, one.person.id)])));
}

/** People of one source without those who objected. */
export const peopleWithoutObjected = async (
  sourceId: string,
  people: readonly Person[],
  transaction?: Transaction
): Promise<Person[]> =>
  (
    await withoutObjected(
      people.map((person) => ({ sourceId, person })),
      transaction
    )
  ).map(({ person }) => person);
