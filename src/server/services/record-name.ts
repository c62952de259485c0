/** A record's name: its source and its id there, which may hold any sign but a line break. */
export const recordName = (sourceId: string, personId: string): string => `${sourceId}\n${personId}`;
