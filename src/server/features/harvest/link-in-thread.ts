import * as z from 'zod';
import { addJob, alone, defineTask } from '$server/platform/jobs/queue';
import { runThread } from '$server/workers/threads';

/** Links the records of a harvest to people and ranks them by likelihood, in a thread. */
export const linkInThread = (harvestId: string, signal?: AbortSignal): Promise<null> =>
  runThread<null>('harvest-worker.js', { harvestId }, { ...(signal && { signal }) });

/** Has a thread order the people of a harvest again. */
export const orderInThread = (harvestId: string): Promise<null> =>
  runThread<null>('harvest-worker.js', { harvestId, only: 'order' });

const task = 'link harvest';

/** Milliseconds within which more may come that is linked with it. */
const soon = 800;

/** Has that done soon, once for all that came meanwhile. */
export const linkSoon = (harvestId: string): Promise<void> =>
  addJob(task, { harvestId }, { key: `link ${harvestId}`, priority: 40, runAt: new Date(Date.now() + soon) });

export const linkTask = defineTask(task, z.object({ harvestId: z.string() }), ({ harvestId }, { stopping }) =>
  alone(`link ${harvestId}`, async (lost) => {
    await linkInThread(harvestId, AbortSignal.any([lost, stopping]));
  })
);
