import { runThread } from '../../workers/threads';

/** Has a thread work out who is who among what came of a harvest, and how likely each is to fit. */
export const linkInThread = (harvestId: string, signal?: AbortSignal): Promise<null> =>
  runThread<null>('harvest-worker.js', { harvestId }, { ...(signal && { signal }) });
