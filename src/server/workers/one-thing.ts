import { parentPort } from 'node:worker_threads';
import { isDatabaseAway } from '$server/platform/database/away';
import { closeDatabase } from '$server/platform/database/connection';
import { Refusal } from '$server/platform/refusal';
import { giveWay } from './give-way';
import { takeUpSpreadLexicon } from './take-up-lexicon';
import type { ThreadMessage } from './threads';

/** The end of a thread that does one thing, as `runThread` hears it, whether that was done, refused or broke off. */
async function endOf(work: () => Promise<unknown>): Promise<ThreadMessage<unknown, never>> {
  try {
    takeUpSpreadLexicon();
    return { answer: await work() };
  } catch (error) {
    if (error instanceof Refusal) return { refusal: error.serialize() };
    return { error: error instanceof Error ? error.message : String(error), away: isDatabaseAway(error) };
  }
}

/** Does the one thing that a thread was started for, says how it ended, and lets go of the database. */
export async function doOneThing(work: () => Promise<unknown>): Promise<void> {
  giveWay();
  const end = await endOf(work);
  await closeDatabase().catch(() => {});
  parentPort!.postMessage(end);
}

/** Does one thing after the other, each as a message comes, and says how each ended. */
export function doEach<Task>(work: (task: Task) => Promise<unknown>): void {
  giveWay();
  parentPort!.on('message', (task: Task) => {
    void endOf(() => work(task)).then((end) => parentPort!.postMessage(end));
  });
}
