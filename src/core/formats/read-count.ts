import * as z from 'zod';
import type { Interval } from '../measure/wilson';
import countWords from './data/count-words.json';
import { shipped } from '../language/shipped-data';

/** A count as a place shows it, understood. */
export interface ReadCount {
  said: number;
  interval: Interval;
  /** It is so many or more: nothing says how many at most, and the interval goes on to ten times as many. */
  open: boolean;
}

const list = z.array(z.string().min(1)).min(1);
/** Words that places put around a count, in the languages of the lexicon. Common practice, no published source. */
const words = shipped(
  z.object({
    about: list,
    over: list,
    under: list,
    orMore: list,
    of: list,
    to: list,
    between: list,
    and: list,
    none: list,
    page: list,
    found: list,
    units: z.record(z.string(), list)
  }),
  countWords
);

const isSign = (character: string | undefined) => character !== undefined && /[\p{L}\p{N}]/u.test(character);
/** Whether a word is at a place of a text, and does not begin or end inside another. */
const standsAt = (text: string, word: string, at: number) =>
  at >= 0 &&
  text.startsWith(word, at) &&
  !(isSign(word[0]) && isSign(text[at - 1])) &&
  !(isSign(word.at(-1)) && isSign(text[at + word.length]));
/** The longest of some words that a text ends with; undefined where it ends with none. */
function ending(text: string, some: readonly string[]): string | undefined {
  const end = text.trimEnd();
  return some.filter((word) => standsAt(end, word, end.length - word.length)).sort((a, b) => b.length - a.length)[0];
}
const endsWith = (text: string, some: readonly string[]) => ending(text, some) !== undefined;
const beginsWith = (text: string, some: readonly string[]) => some.some((word) => standsAt(text.trimStart(), word, 0));
const isOne = (text: string, some: readonly string[]) => some.includes(text.trim());
const holds = (text: string, some: readonly string[]) =>
  some.some((word) => {
    for (let at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + 1))
      if (standsAt(text, word, at)) return true;
    return false;
  });

const qualifiers = [...words.about, ...words.over, ...words.under];
/** Whether what stands between two numbers ends in "of", or in "of" and how exactly: the second is what all of them are. */
function isOf(between: string): boolean {
  const qualifier = ending(between, qualifiers);
  const rest = qualifier === undefined ? between : between.trimEnd().slice(0, -qualifier.length);
  return endsWith(rest, words.of);
}
const saysNobody = (written: string) =>
  isOne(written.replace(/[.!]$/, ''), words.none) ||
  (!/\d/.test(written) && holds(written, words.none) && holds(written, words.found));

const unitOf = new Map(
  Object.entries(words.units).flatMap(([factor, some]) => some.map((word) => [word, Number(factor)]))
);
const oneOf = (some: Iterable<string>) =>
  [...some]
    .sort((a, b) => b.length - a.length)
    .map((word) => word.replaceAll(/[.*+?^${}()|[\]\\/]/g, String.raw`\$&`))
    .join('|');
const number = new RegExp(
  String.raw`(?<![\p{L}\d])(\d{1,3}(?:[.,'’ ]\d{3})+(?!\d)|\d+(?:[.,]\d+)?)(?:\s?(${oneOf(unitOf.keys())})(?![\p{L}\d]))?`,
  'gu'
);
/** "page 3 of 12", "Seite 1 von 12": they count pages. */
const pages = new RegExp(
  String.raw`(?<![\p{L}\d])(?:${oneOf(words.page)})\s*\d+(?:\s*(?:${oneOf(words.of)})\s*\d+)?|\d+\s*(?:${oneOf(words.page)})(?![\p{L}\d])`,
  'gu'
);
/** "(0.41 seconds)", "in 0,3 s". */
const seconds = /\(?(?<![\p{L}\d])\d+[.,]\d+\s*s(?:e[ckg][\p{L}]*)?(?![\p{L}\d])\.?\)?/gu;

interface Figure {
  value: number;
  /** What the last figure represents: hundreds in `3.2K`, thousands in `3K`. */
  step: number;
  from: number;
  to: number;
}

function figureOf(match: RegExpMatchArray): Figure {
  const [whole, written, unit] = match as unknown as [string, string, string | undefined];
  const factor = unit === undefined ? 1 : unitOf.get(unit)!;
  // With a unit, three figures after one separator are decimals only where the place would not have grouped them.
  const grouped = /^\d{1,3}(?:[.,'’ ]\d{3})+$/.test(written);
  const plain = grouped ? written.replaceAll(/[.,'’ ]/g, '') : written.replace(',', '.');
  const decimals = plain.split('.')[1]?.length ?? 0;
  return {
    value: Math.round(Number(plain) * factor),
    step: Math.max(1, Math.round(factor / 10 ** decimals)),
    from: match.index!,
    to: match.index! + whole.length
  };
}

/** The value of the last nonzero digit's place: thousands for 3,000, hundreds for 3,400. */
function lastFigure(value: number): number {
  let step = 1;
  while (value && value % (step * 10) === 0) step *= 10;
  return step;
}

const most = 2_000_000_000;

/**
 * Understands a count as a place writes it, in the languages of the lexicon: `1–10 of 140` is 140; `about 3,000` lies between
 * 2,500 and 3,499; `3K+` between 3,000 and 3,999; `999+` and `más de 1.000` are open; `weniger als 50`, `Keine Treffer`. Null
 * for what is no count, such as `Seite 1 von 12`.
 */
export function readCount(text: string): ReadCount | null {
  if (text.length > 400) return null;
  const written = text
    .normalize('NFKC')
    .toLowerCase()
    .replaceAll(/\s+/g, ' ')
    .replaceAll(seconds, ' ')
    .replaceAll(pages, ' ')
    .trim();
  if (!written || written.length > 200) return null;
  if (saysNobody(written)) return { said: 0, interval: { low: 0, high: 0 }, open: false };
  const figures = [...written.matchAll(number)].map(figureOf).filter(({ value }) => value <= most);
  if (!figures.length) return null;
  const before = (at: number) => written.slice(at ? figures[at - 1]!.to : 0, figures[at]!.from);
  const last = figures.findLastIndex((_, at) => at > 0 && isOf(before(at)));
  const only = figures.length === 1 && isOf(written.slice(0, figures[0]!.from));
  const [first, second] = figures as [Figure, Figure | undefined];
  if (last < 0 && second) {
    const between = written.slice(first.to, second.from);
    const isRange = isOne(between, words.to) || (endsWith(before(0), words.between) && isOne(between, words.and));
    if (isRange && first.value <= second.value)
      return {
        said: Math.round((first.value + second.value) / 2),
        interval: { low: first.value, high: second.value },
        open: false
      };
  }
  const at = last < 0 || only ? 0 : last;
  const { value, step, to } = figures[at]!;
  const lead = written.slice(0, figures[at]!.from);
  const tail = written.slice(to);
  const exactly = { said: value, interval: { low: value, high: value }, open: false };
  const orMore = { said: value, interval: { low: value, high: Math.min(most, Math.max(1, value) * 10) }, open: true };
  if (endsWith(lead, words.over)) return orMore;
  if (endsWith(lead, words.under)) return { said: value, interval: { low: 0, high: value }, open: false };
  if (beginsWith(tail, words.orMore))
    // `3K+` is rounded down to thousands; `1K+`, like `999+`, is as far as the place counts.
    return step > 1 && value !== lastFigure(value)
      ? { said: value, interval: { low: value, high: value + step - 1 }, open: false }
      : orMore;
  const figure = endsWith(lead, words.about) ? Math.max(step, lastFigure(value)) : step;
  if (figure === 1) return exactly;
  return {
    said: value,
    interval: { low: Math.max(0, value - figure / 2), high: value + figure / 2 - 1 },
    open: false
  };
}

/** The count that a pasted page shows, with the line it is in: the first line that speaks of results and has one. */
export function countOnPage(page: string): { line: string; read: ReadCount } | null {
  for (const raw of page.slice(0, 20_000).split('\n')) {
    const line = raw.trim();
    if (!line || line.length > 160 || !holds(line.toLowerCase(), words.found)) continue;
    // A line that is somebody's sentence with a number in it is longer than a count.
    if (line.split(/\s+/).length > 12) continue;
    const read = readCount(line);
    if (read) return { line, read };
  }
  return null;
}
