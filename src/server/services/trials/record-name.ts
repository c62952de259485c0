/** What a record is called where many are kept by name. */
export const nameOfRecord = (sourceId: string, personId: string): string => `${sourceId} ${personId}`;
