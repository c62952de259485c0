/** A number as strings write it: digits, a point, a minus. */
const plain = /^-?\d+(\.\d+)?$/;
/** Digits in groups of three, as `1.000`, `1,000`, `1'000` and `1 000` are written. */
const grouped = /^-?\d{1,3}([.,'’\u00a0\u202f ]\d{3})+$/;

/** A number read from how people write it. */
export interface ReadNumber {
  value: number;
  /** Signs between thousands were left out. */
  thousands: boolean;
}

/** Reads a number; null for what is none. `1.000` is a thousand: nobody writes a whole number with three noughts behind a point. */
export function readNumber(text: string): ReadNumber | null {
  if (grouped.test(text)) return { value: Number(text.replaceAll(/[^\d-]/g, '')), thousands: true };
  return plain.test(text) ? { value: Number(text), thousands: false } : null;
}

/** Bounds as people write them without brackets: `50-249`, `50+`, `>50`, `<=50`; null for what is none. */
export function readBounds(text: string): { low: number | null; high: number | null } | null {
  const from = /^(?:(?:>=|≥)(.+)|([^+]+)\+)$/.exec(text);
  if (from) return bounds(from[1] ?? from[2], null);
  const upTo = /^(?:<=|≤)(.+)$/.exec(text);
  if (upTo) return bounds(null, upTo[1]);
  // The first sign is never a dash between two: it may be a minus.
  const at = text.slice(1).search(/[-–—…]|\.\./) + 1;
  const high = text.slice(at).replace(/^(?:[-–—…]|\.{2,9})/, '');
  return at > 0 && high ? bounds(text.slice(0, at), high) : null;
}

function bounds(low: string | undefined | null, high: string | undefined | null) {
  const read = (text: string | undefined | null) =>
    text === null || text === undefined || text === '*' ? null : (readNumber(text.trim())?.value ?? Number.NaN);
  const [from, to] = [read(low), read(high)];
  return Number.isNaN(from) || Number.isNaN(to) ? null : { low: from, high: to };
}

/** A number in digits alone, which `readNumber` reads back: `1e-7` as 0.0000001, `1e21` as it is written out. */
export function writeNumber(value: number): string {
  const written = String(value);
  const parts = /^(-?)(\d+)(?:\.(\d+))?e([+-]\d+)$/.exec(written);
  if (!parts) return written;
  const [, sign, whole, fraction = '', exponent] = parts;
  const digits = whole! + fraction;
  const point = whole!.length + Number(exponent);
  if (point <= 0) return `${sign}0.${'0'.repeat(-point)}${digits}`;
  return (
    sign + (point >= digits.length ? digits.padEnd(point, '0') : `${digits.slice(0, point)}.${digits.slice(point)}`)
  );
}
