import type { Answer } from '$api';

/** Whether a trial is still running or queued. */
export const isUnderWay = ({ state }: Pick<Answer<'readTrial'>, 'state'>): boolean =>
  state === 'waiting' || state === 'running';
