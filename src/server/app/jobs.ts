import { startQueue } from '../jobs/queue';
import { demoTask } from '../services/briefs/demo';
import { harvestTask, resumeHarvests } from '../services/harvest/harvest-run';
import { linkTask } from '../services/harvest/link-in-thread';
import { clearOldHourly } from '../services/running/retention';
import { mailCheckTask, resumeMailChecks } from '../services/shortlist/mail-run';
import { importTask, resumeImports } from '../services/sources/imports/imports';
import { resumeTrials, trialTask } from '../services/trials/trial-run';
import { digestTask, resumeDigests } from '../services/watches/digest';
import { lookAtWatches, watchTask } from '../services/watches/watch-run';

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

export const startJobs = (): Promise<void> => startQueue({ tasks, sweeps });
