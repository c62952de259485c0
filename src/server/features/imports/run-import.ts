import type { Transaction } from 'sequelize';
import type { ImportOutcome, ImportSettings } from '$api/import-shapes';
import { isDatabaseAway, isDiskFull } from '$server/platform/database/away';
import { database } from '$server/platform/database/connection';
import { models, type ImportRow } from '$server/platform/database/models';
import { log } from '$server/platform/log';
import { Refusal } from '$server/platform/refusal';
import { Ended, Lost, type Progress } from './each-person';
import { rememberMeanings } from './import-values';
import { keepAsSource } from './keep-as-source';
import { keepCustomers } from './keep-customers';
import { keepOnList } from './keep-on-list';
import { removeUpload } from './upload-files';

/** Milliseconds between two times that an import says it goes on, and how long what it says holds. */
const renewEvery = 1000;
export const leaseSeconds = 30;

/** Says again and again how far an import is and that it goes on here; hears whether it is to stop. */
function renewing(id: string, server: string, progress: Progress): () => Promise<void> {
  let last = Promise.resolve();
  const renew = async () => {
    const [rows] = await database().query(
      `UPDATE imports SET leased_until = now() + make_interval(secs => ${leaseSeconds}), outcome = $outcome::jsonb
       WHERE id = $id AND server = $server AND state = 'running' RETURNING stop`,
      { bind: { id, server, outcome: JSON.stringify(progress.outcome) } }
    );
    const [row] = rows as { stop: boolean }[];
    if (!row) progress.halt = 'lost';
    else if (row.stop) progress.halt = 'stop';
  };
  const timer = setInterval(() => {
    // A database that is away breaks the import itself off.
    last = last.then(renew).catch(() => {});
  }, renewEvery);
  return async () => {
    clearInterval(timer);
    await last;
  };
}

/**
 * Imports a file that this server has a lease on, all or nothing, and says how it ended. Throws where the database went
 * away: then nothing was kept, and it can be started again.
 */
export async function runImport(id: string, server: string): Promise<void> {
  const row = await models().Import.findByPk(id);
  if (!row?.settings) return;
  const outcome: ImportOutcome = {
    rows: 0,
    bytesRead: 0,
    skipped: 0,
    leftOut: 0,
    emptied: 0,
    errors: [],
    message: null
  };
  const progress: Progress = { outcome, halt: null, duplicates: 0 };
  const stopRenewing = renewing(id, server, progress);
  try {
    await database().transaction((transaction) => keepAll(row, row.settings!, server, progress, transaction));
  } catch (error) {
    if (error instanceof Lost) return;
    if (isDatabaseAway(error)) throw error;
    const ended = error instanceof Ended ? error : endedBy(error);
    if (!(error instanceof Ended || error instanceof Refusal))
      log().warn({ err: error, import: id }, 'import broke off');
    outcome.message = ended.message;
    await stopRenewing();
    // It can't be restarted: the upload is deleted before the outcome is reported.
    await removeUpload(id);
    await models().Import.update(
      { state: ended.state, outcome, server: null, leasedUntil: null },
      { where: { id, server, state: 'running' } }
    );
  } finally {
    await stopRenewing();
  }
}

function endedBy(error: unknown): Ended {
  if (error instanceof Refusal) return new Ended('refused', `${error.message} Nothing was kept.`);
  if (isDiskFull(error))
    return new Ended('refused', 'The disk is full, so nothing was saved. Free up space and import the file again.');
  if ((error as NodeJS.ErrnoException).code === 'ENOENT')
    return new Ended('stopped', 'The uploaded file is gone, so nothing was saved. Choose it again.');
  return new Ended('refused', 'The import failed and nothing was saved. Try again; the server’s log has the details.');
}

async function keepAll(
  row: ImportRow,
  settings: ImportSettings,
  server: string,
  progress: Progress,
  transaction: Transaction
): Promise<void> {
  let sourceId: string | null = null;
  if (settings.onto?.list === 'customers') await keepCustomers(row, settings, progress, transaction);
  else if (settings.onto) await keepOnList(row, settings, progress, transaction);
  else sourceId = await keepAsSource(row, settings, progress, transaction);
  await rememberMeanings(settings.values ?? [], transaction);
  const [ended] = await models().Import.update(
    { state: 'done', outcome: progress.outcome, sourceId, server: null, leasedUntil: null },
    { where: { id: row.id, server, state: 'running' }, transaction }
  );
  if (!ended) throw new Lost();
}
