type Read = typeof import('./read-pasted-people').readPastedPeople;

/** Rows of a spreadsheet or a CSV as people; what reads them is loaded then. */
export const pastedPeople = async (...given: Parameters<Read>): Promise<ReturnType<Read>> =>
  (await import('./read-pasted-people')).readPastedPeople(...given);
