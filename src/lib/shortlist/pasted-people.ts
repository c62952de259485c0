import type { readPastedPeople } from './read-pasted-people';

type Read = typeof readPastedPeople;

/** Rows of a spreadsheet or a CSV as people; what reads them is loaded then. */
export const pastedPeople = async (...given: Parameters<Read>): Promise<ReturnType<Read>> =>
  (await import('./read-pasted-people')).readPastedPeople(...given);
