import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Op, type Transaction } from 'sequelize';
import type { ReadableStream as WebStream } from 'node:stream/web';
import { mappingFault, type ColumnField, personFromRow } from '$core/formats';
import { personSchema, type Person } from '$core/corpus';
import { hashText } from '$core/measure';
import { contactKeys } from '$core/people';
import { importedSheet, toldByColumns } from '$sources/imported-file';
import { database } from '../../database/connection';
import { models, type ImportRow } from '../../database/models';
import { environment } from '../../environment';
import { notFound, Refusal } from '../../refusal';
import type { ImportOutcome } from './import-shapes';
import { findSource, forgetPeople, readySource } from '../sources';
import { readRows, recognise } from './read-table';

const mostErrors = 100;
const batch = 1000;
/** Most people of one file. */
const mostRows = 500_000;

/** What is being imported now: how far, and whether to stop. Kept here and not in the database, which learns the end. */
const running = new Map<string, { outcome: ImportOutcome; stop: boolean }>();

const pathOf = (id: string) => join(environment().uploads, id);

const told = (row: ImportRow) => ({
  id: row.id,
  fileName: row.fileName,
  bytes: Number(row.bytes),
  reading: row.reading,
  state: row.state,
  outcome: running.get(row.id)?.outcome ?? row.outcome,
  sourceId: row.sourceId
});

/** Keeps an uploaded file aside, recognises it, and says how its columns would be read. Nothing is kept of a refused file. */
export async function receiveFile(fileName: string, body: WebStream | null) {
  const id = randomUUID();
  const path = pathOf(id);
  await mkdir(environment().uploads, { recursive: true });
  try {
    await pipeline(body ? Readable.fromWeb(body) : Readable.from([]), createWriteStream(path));
    const reading = await recognise(path, fileName);
    const { size } = await stat(path);
    return told(
      await models().Import.create({
        id,
        fileName,
        bytes: size,
        reading,
        state: 'ready',
        outcome: null,
        sourceId: null
      })
    );
  } catch (error) {
    await rm(path, { force: true });
    throw error;
  }
}

async function findImport(id: string): Promise<ImportRow> {
  const row = await models().Import.findByPk(id);
  if (!row) throw notFound('This import');
  return row;
}

export const readImport = async (id: string) => told(await findImport(id));

/** Begins to import in the background; `readImport` tells how far it is. */
export async function startImport(
  id: string,
  name: string,
  mapping: readonly ColumnField[],
  skipBadRows: boolean,
  into: string | null = null
) {
  const row = await findImport(id);
  if (into !== null) {
    const source = await findSource(into);
    if (source.kind !== 'file')
      throw new Refusal(409, 'No imported file', `${source.name} is no imported file, so no file can take its place.`);
  }
  if (row.state === 'running' || row.state === 'done')
    throw new Refusal(409, 'Already begun', 'This file is being imported or is imported already.');
  if (mapping.length !== row.reading.columns.length)
    throw new Refusal(
      422,
      'Columns do not match',
      `The file has ${row.reading.columns.length} columns and ${mapping.length} were given.`
    );
  const fault = mappingFault(mapping);
  if (fault) throw new Refusal(422, 'Columns do not match', fault);
  const progress = { outcome: { rows: 0, bytesRead: 0, skipped: 0, errors: [], message: null }, stop: false };
  running.set(id, progress);
  await row.update({ state: 'running' });
  void runImport(row, name, mapping, skipBadRows, into, progress);
  return told(row);
}

const fingerprint = (person: Person) => hashText(JSON.stringify(person));

/** What the people of a source were, by id. */
async function fingerprints(sourceId: string, transaction: Transaction): Promise<Map<string, number>> {
  const known = new Map<string, number>();
  for (let from = 0; ; from += batch) {
    const rows = await models().SourcePerson.findAll({
      where: { sourceId, ordinal: { [Op.gte]: from, [Op.lt]: from + batch } },
      transaction
    });
    if (!rows.length) return known;
    // PostgreSQL keeps JSON with its keys in an order of its own: read by the schema, both are in one order.
    for (const { person } of rows) known.set(person.id, fingerprint(personSchema.parse(person)));
  }
}

class Ended extends Error {
  readonly state: 'refused' | 'stopped';
  constructor(state: 'refused' | 'stopped', message: string) {
    super(message);
    this.state = state;
  }
}

async function runImport(
  row: ImportRow,
  name: string,
  mapping: readonly ColumnField[],
  skipBadRows: boolean,
  into: string | null,
  progress: { outcome: ImportOutcome; stop: boolean }
): Promise<void> {
  const { outcome } = progress;
  const sourceId = into ?? `file-${row.id}`;
  try {
    await database().transaction(async (transaction) => {
      const { Source, SourcePerson } = models();
      const source =
        into === null
          ? await Source.create(
              {
                id: sourceId,
                kind: 'file',
                name,
                sheet: importedSheet(sourceId, name, toldByColumns(mapping)),
                people: 0
              },
              { transaction }
            )
          : await findSource(into);
      const before = into === null ? null : await fingerprints(into, transaction);
      if (into !== null) await SourcePerson.destroy({ where: { sourceId: into }, transaction });
      const changes = { came: 0, changed: 0, duplicates: 0 };
      let waiting: Person[] = [];
      const keys = new Set<string>();
      let kept = 0;
      const flush = async () => {
        await database().query(
          `INSERT INTO source_people (source_id, ordinal, person)
           SELECT $source, $from::int + place - 1, person FROM jsonb_array_elements($people::jsonb) WITH ORDINALITY AS _ (person, place)`,
          { bind: { source: sourceId, from: kept - waiting.length, people: JSON.stringify(waiting) }, transaction }
        );
        waiting = [];
      };
      for await (const read of readRows(pathOf(row.id), row.reading)) {
        if (progress.stop) throw new Ended('stopped', 'The import was stopped. Nothing of the file was kept.');
        outcome.rows = read.row;
        outcome.bytesRead = Math.max(outcome.bytesRead, read.bytes);
        if (read.row > mostRows)
          throw new Ended(
            'refused',
            `The file has more than ${mostRows.toLocaleString('en')} rows. Split it and import the parts.`
          );
        const ownKey = `row-${read.row}`;
        const result = 'error' in read ? read : personFromRow(read.cells, mapping, ownKey);
        if ('person' in result && result.person.id === ownKey) {
          // Without a key of the file's own, a person is known by mail, or by name and firm, so that a newer file updates them.
          const [known] = contactKeys(result.person);
          if (known !== undefined) {
            let key = known;
            for (let i = 2; keys.has(key); i++) key = `${known} (${i})`;
            if (key !== known) changes.duplicates++;
            result.person.id = key.slice(0, 300);
          }
        }
        const error =
          'error' in result
            ? result.error
            : keys.has(result.person.id)
              ? `The key “${result.person.id}” stands twice in the file.`
              : null;
        if (error !== null) {
          outcome.skipped++;
          if (outcome.errors.length < mostErrors)
            outcome.errors.push({ row: read.row, line: read.line, message: error });
        } else if ('person' in result) {
          keys.add(result.person.id);
          if (before) {
            const was = before.get(result.person.id);
            if (was === undefined) changes.came++;
            else if (was !== fingerprint(personSchema.parse(result.person))) changes.changed++;
            before.delete(result.person.id);
          }
          waiting.push(result.person);
          kept++;
          if (waiting.length === batch) await flush();
        }
      }
      await flush();
      if (outcome.skipped && !skipBadRows)
        throw new Ended(
          'refused',
          `${outcome.skipped.toLocaleString('en')} of ${outcome.rows.toLocaleString('en')} rows cannot be read, so nothing was kept. Mend the rows named below, match the columns otherwise, or import without these rows.`
        );
      if (!kept) throw new Ended('refused', 'No row could be read as a person, so nothing was kept.');
      const n = (count: number) => count.toLocaleString('en');
      outcome.message =
        [
          before
            ? `${n(kept)} people: ${n(changes.came)} came, ${n(changes.changed)} changed, ${n(before.size)} left`
            : `${n(kept)} people imported`,
          ...(changes.duplicates ? [`${n(changes.duplicates)} look like one before them`] : []),
          ...(outcome.skipped ? [`${n(outcome.skipped)} rows left out`] : [])
        ].join(', ') + '.';
      await source.update({ people: kept }, { transaction });
      await row.update({ state: 'done', outcome, sourceId }, { transaction });
    });
    if (into !== null) await forgetPeople(into);
    // Nobody has to wait for the index who asks in a minute.
    void readySource(sourceId).catch((error: Error) => console.error(`Import ${row.id}: ${error.message}`));
    await rm(pathOf(row.id), { force: true });
  } catch (error) {
    const ended =
      error instanceof Ended ? error : new Ended('refused', 'The import broke off and nothing was kept. Try it again.');
    if (!(error instanceof Ended)) console.error(`Import ${row.id}: ${(error as Error).message}`);
    outcome.message = ended.message;
    await row
      .update({ state: ended.state, outcome })
      .catch((failure: Error) => console.error(`Import ${row.id}: ${failure.message}`));
  } finally {
    running.delete(row.id);
  }
}

/** Stops an import that is running, or throws away a file that waits to be imported. */
export async function stopImport(id: string): Promise<void> {
  const row = await findImport(id);
  const progress = running.get(id);
  if (progress) {
    progress.stop = true;
    return;
  }
  await rm(pathOf(id), { force: true });
  await row.destroy();
}

/** After a restart: imports cut off by the stop kept nothing, and say so; they can be started again. */
export async function endBrokenImports(): Promise<void> {
  const message = 'The server stopped during this import. Nothing was kept: start it again.';
  await models().Import.update(
    { state: 'stopped', outcome: { rows: 0, bytesRead: 0, skipped: 0, errors: [], message } },
    { where: { state: { [Op.eq]: 'running' } } }
  );
}
