/** What a record holds by a name of the user's own; undefined for what every object has, as `constructor`. */
export const own = <T>(record: Readonly<Record<string, T>>, name: string): T | undefined =>
  Object.hasOwn(record, name) ? record[name] : undefined;
