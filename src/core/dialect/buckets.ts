import type { Range } from '../language/query';

/** A range of numbers that a source offers under a name: `10–49`. `null` is open; both ends belong to it. */
export interface Bucket {
  label: string;
  low: number | null;
  high: number | null;
}

const number = String.raw`\d{1,3}(?:[,.'\s]\d{3}){1,6}|\d{1,15}`;
const between = new RegExp(String.raw`(${number})\s{0,9}(?:-|–|—|to|bis|à|a|til|tot)\s{0,9}(${number})`, 'i');
const from = new RegExp(
  String.raw`(?:[>≥]\s{0,9}|over |more than |from |ab |über |más de |mais de |plus de |meer dan )(${number})|(${number})\s{0,9}(?:\+|or more|and more|plus)`,
  'i'
);
const upTo = new RegExp(String.raw`(?:[<≤]\s{0,9}|up to |under |less than |bis |hasta |até |jusqu'à )(${number})`, 'i');
const read = (text: string) => Number(text.replaceAll(/[^\d]/g, ''));

/** The range that the name of a bucket states: `1–9`, `5,001+`, `up to 9 employees`; null where it states none. */
export function bucketOf(label: string): Bucket | null {
  const two = between.exec(label);
  if (two) {
    const [low, high] = [read(two[1]!), read(two[2]!)];
    return low <= high ? { label, low, high } : null;
  }
  const open = from.exec(label);
  if (open)
    return { label, low: read((open[1] ?? open[2])!) + (/^\s*(>(?!=)|over|more)/i.test(label) ? 1 : 0), high: null };
  const least = upTo.exec(label);
  if (least) return { label, low: null, high: read(least[1]!) - (/^\s*(<(?!=)|under|less)/i.test(label) ? 1 : 0) };
  const single = /^\D*(\d+)\D*$/.exec(label);
  return single ? { label, low: read(single[1]!), high: read(single[1]!) } : null;
}

/** Buckets written one after the other with semicolons; or the name of the first that tells no range. */
export function bucketsFrom(text: string): { buckets: Bucket[] } | { unread: string } {
  const labels = text
    .split(';')
    .map((label) => label.trim())
    .filter(Boolean);
  const buckets = labels.map(bucketOf);
  const bad = buckets.findIndex((bucket) => bucket === null);
  return bad < 0 ? { buckets: buckets as Bucket[] } : { unread: labels[bad]! };
}

const lowOf = ({ low }: Pick<Range, 'low'>) => low ?? -Infinity;
const highOf = ({ high }: Pick<Range, 'high'>) => high ?? Infinity;

/**
 * The fewest buckets that together hold every whole number of a range, and whether they hold nothing else; null where they
 * leave a gap in it, so that somebody would be lost.
 */
export function coverRange(
  range: Pick<Range, 'low' | 'high'>,
  buckets: readonly Bucket[]
): { chosen: Bucket[]; exact: boolean } | null {
  const [low, high] = [lowOf(range), highOf(range)];
  const chosen: Bucket[] = [];
  // From its lower end on, always the bucket that begins no later and reaches farthest.
  for (let reached = low; chosen.length <= buckets.length;) {
    const next = buckets
      .filter((bucket) => lowOf(bucket) <= reached && highOf(bucket) >= reached)
      .sort((a, b) => highOf(b) - highOf(a) || lowOf(b) - lowOf(a))[0];
    if (!next) return null;
    chosen.push(next);
    if (highOf(next) >= high) break;
    reached = highOf(next) + 1;
  }
  return { chosen, exact: chosen.every((bucket) => lowOf(bucket) >= low && highOf(bucket) <= high) };
}
