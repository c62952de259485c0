import { setTimeout as after } from 'node:timers/promises';

/** Waits so many milliseconds, or until it is halted. */
export const sleep = (milliseconds: number, halt: AbortSignal): Promise<void> =>
  after(milliseconds, undefined, { signal: halt }).catch(() => {});
