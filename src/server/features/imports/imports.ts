import { randomUUID } from 'node:crypto';
import { stat } from 'node:fs/promises';
import type { ReadableStream as WebStream } from 'node:stream/web';
import { QueryTypes } from 'sequelize';
import * as z from 'zod';
import { mappingFault } from '$core/formats';
import { isDatabaseAway } from '$server/platform/database/away';
import { database } from '$server/platform/database/connection';
import { models, type ImportRow } from '$server/platform/database/models';
import { addJob, defineTask, isDead, hasNoJob } from '$server/platform/jobs/queue';
import { NotNow } from '$server/platform/jobs/not-now';
import { serverId } from '$server/platform/jobs/this-server';
import { log } from '$server/platform/log';
import { notFound, refuse } from '$server/platform/refusals';
import type { ImportTask } from './import-worker';
import { KeptThreads } from '$server/workers/threads';
import { findBrief } from '$server/features/briefs/briefs';
import { findSource, readySource } from '$server/features/sources/sources';
import type { ImportSettings } from '$api/import-shapes';
import { checkMeanings } from './import-values';
import { recognise } from './read-table';
import { leaseSeconds } from './run-import';
import { unpackWorkbook } from './workbook';
import { clearUploads, handOver, keepUpload, removeUpload } from './upload-files';

// An import is ready (uploaded), waiting (started), running (a server has a lease on it), and then done, refused or stopped.
// A statement changes the state only from the state it names, so that of several at once exactly one succeeds.

const task = 'import';
/** Days that an uploaded file waits to be started. */
const waitsDays = 1;

const serialize = (row: ImportRow) => ({
  id: row.id,
  fileName: row.fileName,
  bytes: Number(row.bytes),
  reading: row.reading,
  // Anybody who waits for it need not know that it waits for its turn.
  state: row.state === 'waiting' ? ('running' as const) : row.state,
  outcome: row.outcome,
  sourceId: row.sourceId
});

/** Keeps an uploaded file aside, recognises it, and says how its columns would be read. Nothing is kept of a refused file. */
export async function receiveFile(fileName: string, body: WebStream | null, saysBytes = 0) {
  const id = randomUUID();
  try {
    const path = await keepUpload(id, body, saysBytes, serverId);
    await unpackWorkbook(path, fileName);
    const reading = await recognise(path, fileName);
    const { size } = await stat(path);
    const row = await models().Import.create({
      id,
      fileName,
      bytes: size,
      reading,
      state: 'ready',
      outcome: null,
      sourceId: null
    });
    await handOver(id, serverId);
    return serialize(row);
  } catch (error) {
    await removeUpload(id, serverId);
    throw error;
  }
}

async function findImport(id: string): Promise<ImportRow> {
  const row = await models().Import.findByPk(id);
  if (!row) throw notFound('This import');
  return row;
}

export const readImport = async (id: string) => serialize(await findImport(id));

/** Begins to import in the background; `readImport` says how far it is. */
export async function startImport(id: string, settings: ImportSettings) {
  const row = await findImport(id);
  const { mapping, into, values = [] } = settings;
  checkMeanings(values);
  if (settings.onto?.briefId) await findBrief(settings.onto.briefId);
  if (into !== null) {
    const source = await findSource(into);
    if (source.kind !== 'file') throw refuse('not-an-imported-file', source.name);
  }
  if (row.state === 'refused' || row.state === 'stopped') throw refuse('import-over');
  if (mapping.length !== row.reading.columns.length)
    throw refuse('column-count-differs', row.reading.columns.length, mapping.length);
  const fault = mappingFault(mapping, settings.onto?.list === 'customers');
  if (fault) throw refuse('columns-mismatch', fault);
  const [started] = await models().Import.update({ state: 'waiting', settings }, { where: { id, state: 'ready' } });
  if (!started) throw refuse('import-running');
  await addJob(task, { importId: id }, { key: `import ${id}`, priority: 0 });
  return readImport(id);
}

/** An import that follows soon need not wait until a thread has started. */
const threads = new KeptThreads<ImportTask, null>('import-worker.js', 60_000);

/** Takes a lease on an import that waits, or whose server is dead or has not said for long that it goes on. */
async function claim(id: string): Promise<boolean> {
  const row = await models().Import.findByPk(id);
  if (!row || (row.state !== 'waiting' && row.state !== 'running')) return false;
  const { state, server } = row;
  const isLeft =
    state === 'waiting' ||
    server === null ||
    server === serverId ||
    row.leasedUntil === null ||
    row.leasedUntil.getTime() < Date.now() ||
    (await isDead(server));
  // Looked at again by the next sweep: retries of a job grow apart, and kills would use them up.
  if (!isLeft) return false;
  const [, claimed] = await database().query(
    `UPDATE imports SET state = 'running', server = $serverId, leased_until = now() + make_interval(secs => ${leaseSeconds})
     WHERE id = $id AND state = $state AND server IS NOT DISTINCT FROM $server RETURNING id`,
    { bind: { id, state, server, serverId } }
  );
  return (claimed as { rowCount: number }).rowCount > 0;
}

export const importTask = defineTask(task, z.object({ importId: z.string() }), async ({ importId }, { stopping }) => {
  if (!(await claim(importId))) return;
  await threads.run({ importId, serverId }, { signal: stopping }).catch((error: unknown) => {
    // The database connection was cut, or this server is stopping: nothing was saved, and the import is retried.
    throw stopping.aborted || isDatabaseAway(error) ? new NotNow('The import was cut off.') : error;
  });
  const row = await models().Import.findByPk(importId);
  if (row?.state === 'running') throw new NotNow('The import was cut off.');
  await removeUpload(importId);
  // Nobody has to wait for the index who asks in a minute.
  if (row?.state === 'done' && row.sourceId !== null)
    void readySource(row.sourceId).catch((error: unknown) =>
      log().warn({ err: error }, 'an imported file is not ready')
    );
});

/** Stops an import that waits or is running, or throws away a file that waits to be started. */
export async function stopImport(id: string): Promise<void> {
  await findImport(id);
  const [stopping] = await models().Import.update({ stop: true }, { where: { id, state: 'running' } });
  if (stopping) return;
  await removeUpload(id);
  await models().Import.destroy({ where: { id, state: ['ready', 'waiting', 'refused', 'stopped', 'done'] } });
}

/** Queues imports again that no server works on any more, and clears away files that nobody waits for. */
export async function resumeImports(): Promise<void> {
  const left = await database().query<{ id: string }>(
    `SELECT id FROM imports i WHERE state IN ('waiting', 'running')
       AND ${hasNoJob("'import ' || i.id")}`,
    { type: QueryTypes.SELECT }
  );
  for (const { id } of left) await addJob(task, { importId: id }, { key: `import ${id}`, priority: 0 });
  await database().query(
    `UPDATE imports SET state = 'stopped', outcome = $outcome::jsonb
     WHERE state = 'ready' AND created_at < now() - make_interval(days => ${waitsDays})`,
    {
      bind: {
        outcome: JSON.stringify({
          rows: 0,
          bytesRead: 0,
          skipped: 0,
          errors: [],
          message: 'The file waited for a day without being imported and was cleared away. Choose it again.'
        })
      }
    }
  );
  await clearUploads(async () => {
    const rows = await models().Import.findAll({
      where: { state: ['ready', 'waiting', 'running'] },
      attributes: ['id'],
      raw: true
    });
    return new Set(rows.map(({ id }) => id));
  }, isDead);
}
