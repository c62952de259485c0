import type { Interval } from '../measure/wilson';

/** A count as a place shows it, understood. */
export interface ReadCount {
  said: number;
  interval: Interval;
}

const units: Readonly<Record<string, number>> = { k: 1e3, m: 1e6, mio: 1e6, million: 1e6, thousand: 1e3, tusind: 1e3 };
const number = String.raw`(\d{1,3}(?:[.,'’\u00a0\u202f ]\d{3})+|\d+(?:[.,]\d+)?)\s*(k|m|mio|million|thousand|tusind)?\b`;
const aboutWords =
  /(?:about|around|approx(?:imately)?|circa|ca\.?|roughly|nearly|some|~|≈|ungefähr|etwa|omkring|ungefär|environ|ongeveer)\s*/i;

function read(digits: string, unit: string | undefined): { value: number; step: number } {
  const factor = units[unit?.toLowerCase() ?? ''] ?? 1;
  const grouped = /^\d{1,3}(?:[.,'’\s]\d{3})+$/.test(digits);
  const plain = grouped ? digits.replaceAll(/[.,'’\s]/g, '') : digits.replace(',', '.');
  const value = Math.round(Number(plain) * factor);
  const decimals = plain.split('.')[1]?.length ?? 0;
  // What is told exactly: the last figure of `3.2K` is hundreds, of `3K` thousands.
  return { value, step: Math.max(1, Math.round(factor / 10 ** decimals)) };
}

/** The size of the last figure that is not nought: 3,000 is told in thousands, 3,400 in hundreds. */
function lastFigure(value: number): number {
  let step = 1;
  while (value && value % (step * 10) === 0) step *= 10;
  return step;
}

/**
 * Understands a count as typed from a page: `1–10 of 140` is 140; `about 3,000` lies between 2,500 and 3,499; `3K+` between
 * 3,000 and 3,999; `500+` is 500 or more, up to ten times as many; `fewer than 50`, `no results`. Null for what is no count.
 */
export function readCount(text: string): ReadCount | null {
  const written = text.normalize('NFKC').trim();
  if (!written || written.length > 200) return null;
  if (/^(?:no|0|zero|keine|geen|ingen|inga|aucun)\s*(?:results?|people|matches|hits|treffer)?[.!]?$/i.test(written))
    return { said: 0, interval: { low: 0, high: 0 } };
  const ofMatch = new RegExp(
    String.raw`\b(?:of|von|van|af|av|sur|de)\s+(?<about>${aboutWords.source})?${number}\s*(\+)?`,
    'i'
  ).exec(written);
  const match = ofMatch ?? new RegExp(`${number}\\s*(\\+)?`, 'i').exec(written);
  if (!match) return null;
  const [digits, unit, plus] = match.slice(ofMatch ? 2 : 1);
  const { value, step } = read(digits!, unit);
  if (!Number.isSafeInteger(value) || value > 2_000_000_000) return null;
  const before = written.slice(0, ofMatch ? match.index + match[0].length - (digits?.length ?? 0) : match.index);
  const range = new RegExp(
    String.raw`^${number}\s*(?:–|—|-|to|bis)\s*${number}(?!\s*(?:of|von|van|af|av|sur|de)\b)`,
    'i'
  ).exec(written);
  if (range && !ofMatch) {
    const low = read(range[1]!, range[2] ?? range[4]).value;
    const high = read(range[3]!, range[4]).value;
    if (low <= high) return { said: Math.round((low + high) / 2), interval: { low, high } };
  }
  if (plus) return { said: value, interval: { low: value, high: step > 1 ? value + step - 1 : value * 10 } };
  if (/(?:over|more than|at least|above|mehr als|över|over)\s*$/i.test(before))
    return { said: value, interval: { low: value, high: value * 10 } };
  if (/(?:fewer than|less than|under|below|up to|at most)\s*$/i.test(before))
    return { said: value, interval: { low: 0, high: value } };
  const isAbout = ofMatch?.groups?.about !== undefined || new RegExp(`${aboutWords.source}$`, 'i').test(before);
  const figure = isAbout ? Math.max(step, lastFigure(value)) : step;
  if (figure === 1) return { said: value, interval: { low: value, high: value } };
  return { said: value, interval: { low: Math.max(0, value - figure / 2), high: value + figure / 2 - 1 } };
}
