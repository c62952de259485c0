/** A number of people as it was typed, with spaces or signs between thousands; null where nothing was, NaN where it is no number. */
export function readSize(text: string): number | null {
  const plain = text.replaceAll(/[\s,.'](?=\d{3}\b)/g, '').trim();
  return plain === '' ? null : /^\d+$/.test(plain) ? Number(plain) : Number.NaN;
}

/** What a field shows for a size: what was typed, where it means that, so that it stays as it was written. */
export function shownSize(typed: string, value: number | null): string {
  const read = readSize(typed);
  if (value === null) return read === null || Number.isNaN(read) ? typed : '';
  return read === value || Number.isNaN(value) ? typed : String(value);
}
