import type { Answer } from '$api';

type Watch = Pick<Answer<'listWatches'>[number], 'active' | 'lastRun' | 'nextAt'>;

/** Whether a watch is running, or is about to: what a page has loaded of it may be out of date in a moment. */
export const isRunning = ({ active, lastRun, nextAt }: Watch, now = Date.now()): boolean =>
  lastRun?.state === 'running' || (active && (lastRun === null || (nextAt !== null && Date.parse(nextAt) <= now)));
