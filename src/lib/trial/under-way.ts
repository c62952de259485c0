import type { Answer } from '$api';

/** Whether a trial is still to come to its end by itself. */
export const isUnderWay = ({ state }: Pick<Answer<'readTrial'>, 'state'>): boolean =>
  state === 'waiting' || state === 'running';
