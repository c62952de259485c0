import { parentPort, workerData } from 'node:worker_threads';
import pg from 'pg';
import { PeopleIndex } from '$core/corpus';
import type { Sheet } from '$core/dialect';
import { matchingOf } from '$core/semantics';
import { writtenPeople } from '$sources/imported-file';
import { environment } from '$server/platform/environment';
import { doOneThing } from './one-thing';
import { shareFile, type SharedSource } from './shared-source';
import type { ThreadMessage } from './threads';

export interface FileTask {
  sheet: Sheet;
  id: string;
}

const batch = 5000;

/** Reads the people of a file and makes their index, in memory that threads share; says how many have come. */
async function make({ sheet, id }: FileTask): Promise<SharedSource> {
  const client = new pg.Client({ connectionString: environment().databaseUrl, connectionTimeoutMillis: 5000 });
  await client.connect();
  const written: string[] = [];
  try {
    // One moment's people, though a file takes their place meanwhile.
    await client.query('BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
    for (;;) {
      const { rows } = await client.query<{ person: string }>(
        `SELECT person::text AS person FROM source_people
         WHERE source_id = $1 AND ordinal >= $2 AND ordinal < $3 ORDER BY ordinal`,
        [id, written.length, written.length + batch]
      );
      if (!rows.length) break;
      for (const { person } of rows) written.push(person);
      parentPort!.postMessage({ progress: written.length } satisfies ThreadMessage<never, number>);
    }
    await client.query('COMMIT');
  } finally {
    await client.end().catch(() => {});
  }
  const { parts } = PeopleIndex.from(writtenPeople(written), matchingOf(sheet.matching));
  return shareFile({ ...sheet, id }, written, parts);
}

void doOneThing(() => make(workerData as FileTask));
