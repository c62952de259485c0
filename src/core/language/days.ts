const shape = /^(\d{4})-(\d{2})(?:-(\d{2}))?$/;

const lastOf = (year: number, month: number) => new Date(Date.UTC(year, month, 0)).getUTCDate();

/**
 * A day as a number that grows with it, `20260131`, read from its ISO 8601 date; a month is its first or last day. Null for
 * what is no day.
 */
export function readDay(text: string, of: 'first' | 'last' = 'first'): number | null {
  const read = shape.exec(text);
  if (!read) return null;
  const [year, month] = [Number(read[1]), Number(read[2])];
  if (year < 1000 || month < 1 || month > 12) return null;
  const day = read[3] === undefined ? (of === 'first' ? 1 : lastOf(year, month)) : Number(read[3]);
  return day < 1 || day > lastOf(year, month) ? null : year * 10_000 + month * 100 + day;
}

/** The ISO 8601 date of such a number; null where it is none. `readDay` reads it back. */
export function writeDay(value: number): string | null {
  const text = String(value).replace(/^(\d{4})(\d{2})(\d{2})$/, '$1-$2-$3');
  return readDay(text) === value ? text : null;
}
