import { startQueue, stopQueue } from '$server/platform/jobs/queue';
import { demoTask } from '$server/demo/demo';
import { harvestTask, resumeHarvests } from '$server/features/harvest/harvest-run';
import { linkTask } from '$server/features/harvest/link-in-thread';
import { clearOldHourly } from '$server/features/operations/retention';
import { mailCheckTask, resumeMailChecks } from '$server/features/shortlist/mail-run';
import { importTask, resumeImports } from '$server/features/imports/imports';
import { resumeTrials, trialTask } from '$server/features/trials/trial-run';
import { digestTask, resumeDigests } from '$server/features/watches/digest';
import { lookAtWatches, settleAsHarvestsEnd, watchTask } from '$server/features/watches/watch-run';

/** Every kind of job that a server works on. A job of a kind that is missing here is never run. */
export const tasks = [
  demoTask,
  importTask,
  trialTask,
  harvestTask,
  linkTask,
  mailCheckTask,
  watchTask,
  digestTask
] as const;

/** What runs every few seconds: work that a server which died has left, watches that are due, old rows. */
const sweeps = [
  resumeHarvests,
  resumeImports,
  resumeTrials,
  resumeMailChecks,
  resumeDigests,
  () => lookAtWatches(),
  clearOldHourly
] as const;

let stopListening: (() => void) | undefined;

/** Starts to work on jobs, and on what becomes due by an event. */
export async function startJobs(): Promise<void> {
  await startQueue({ tasks, sweeps });
  stopListening ??= settleAsHarvestsEnd();
}

export async function stopJobs(): Promise<void> {
  stopListening?.();
  stopListening = undefined;
  await stopQueue();
}
