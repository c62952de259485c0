/** A record's name: its source and its id there, which may hold any sign but a line break. */
export const recordName = (sourceId: string, personId: string): string => `${sourceId}\n${personId}`;

/** The source and the id of a record by its name. */
export function partsOfRecordName(name: string): [sourceId: string, personId: string] {
  const at = name.indexOf('\n');
  return [name.slice(0, at), name.slice(at + 1)];
}
