import { beginDemoJob, loadDemo } from '$server/demo/demo';
import { openLexicon } from '$server/features/library/lexicon';
import { openSources, startStandIns } from '$server/features/sources/sources';
import { endStreams } from '$server/http/event-stream';
import { database } from '$server/platform/database/connection';
import { migrate, startFault } from '$server/platform/database/migrate';
import { log } from '$server/platform/log';
import { closeThreads } from '$server/workers/people';
import { startJobs, stopJobs } from './jobs';

/** Starts everything behind the pages, in order, and stops it in order when the process is asked to end. */
export async function start(): Promise<void> {
  void startStandIns();
  try {
    await migrate(database());
    await loadDemo();
    await openLexicon();
    await openSources();
    await startJobs();
    await beginDemoJob();
  } catch (error) {
    log().fatal({ err: error }, 'not started');
    console.error(startFault(error));
    process.exit(1);
  }
  (process as NodeJS.EventEmitter).once('eave:stopping', endStreams);
  // Idle connections would keep the process for some seconds after the last page was served.
  (process as NodeJS.EventEmitter).once('sveltekit:shutdown', () => {
    void stopJobs()
      .then(() => Promise.all([database().close(), closeThreads()]))
      .catch((error: unknown) => log().warn({ err: error }, 'not stopped in order'))
      .finally(() => process.exit(0));
  });
}
