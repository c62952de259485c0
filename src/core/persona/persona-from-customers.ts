import type { Person } from '../people/person';
import { presentJob } from '../people/present-job';
import { wilson, type Interval } from '../measure/wilson';
import { countryName } from '../people/countries';
import { industryCode, industryName, industryWithin } from '../people/industries';
import { quoted } from '../language/print';
import { tokenKeys } from '../language/tokens';
import { readTitle } from '../titles/read-title';
import type { BriefFact } from './persona-from-text';

/** Something that customers have in common. */
export interface CustomerTrait {
  kind: 'title' | 'function' | 'rank' | 'industry' | 'country' | 'size';
  /** As a persona holds it. */
  value: BriefFact['value'];
  words: string;
  /** Customers who have it, among those with this fact known. */
  count: number;
  of: number;
  /** Wilson 95 % interval of the share. */
  share: number;
  interval: Interval;
  /** Too few to say anything by. */
  thin: boolean;
  /** How a source is asked for those who have it, to compare. */
  query: string;
}

/** A size and a rank that go together more often than either alone would have it. */
export interface TraitPair {
  size: string;
  rank: string;
  count: number;
  /** How many there would be if the one had nothing to do with the other. */
  expected: number;
}

export interface CustomerReading {
  traits: CustomerTrait[];
  pairs: TraitPair[];
}

/** Customers a trait needs before it says anything. */
const enough = 3;
/** Size classes: EU Recommendation 2003/361/EC up to 249, and the usual steps beyond. */
const sizes = [
  [1, 9],
  [10, 49],
  [50, 249],
  [250, 999],
  [1000, null]
] as const;

const sizeOf = ({ headcount }: Person) =>
  headcount === undefined ? undefined : sizes.find(([from, to]) => headcount >= from && headcount <= (to ?? Infinity));
const sizeWords = ([from, to]: (typeof sizes)[number]) =>
  to === null ? `${from.toLocaleString('en')} people or more` : `${from} to ${to} people`;
const titleOf = (person: Person) => presentJob(person)?.title ?? '';

/** What customers, each with the person who was spoken to, have in common, the most frequent first. */
export function personaFromCustomers(rows: readonly Person[]): CustomerReading {
  const traits: CustomerTrait[] = [];
  const tally = <T>(
    kind: CustomerTrait['kind'],
    of: (person: Person) => { key: string; value: T } | undefined,
    tell: (value: T) => { value: BriefFact['value']; words: string; query: string }
  ) => {
    const found = new Map<string, { value: T; count: number }>();
    let known = 0;
    for (const person of rows) {
      const one = of(person);
      if (!one) continue;
      known++;
      const entry = found.get(one.key);
      if (entry) entry.count++;
      else found.set(one.key, { value: one.value, count: 1 });
    }
    for (const { value, count } of [...found.values()].sort((a, b) => b.count - a.count).slice(0, 12))
      traits.push({
        kind,
        ...tell(value),
        count,
        of: known,
        share: count / known,
        interval: wilson(count, known),
        thin: count < enough
      });
  };
  const plain = (text: string | null | undefined) => (text ? { key: text.toLowerCase(), value: text } : undefined);

  tally(
    'title',
    (person) => {
      const title = titleOf(person);
      const key = tokenKeys(title).join(' ');
      return key ? { key, value: title } : undefined;
    },
    (title) => ({ value: title, words: title, query: `title:${quoted(title)}` })
  );
  tally(
    'function',
    (person) => plain(person.function ?? readTitle(titleOf(person)).function),
    (name) => ({
      value: name,
      words: name,
      query: `function:${quoted(name)}`
    })
  );
  tally(
    'rank',
    (person) => plain(person.rank ?? readTitle(titleOf(person)).rank),
    (name) => ({
      value: name,
      words: name,
      query: `rank:${quoted(name)}`
    })
  );
  tally(
    'industry',
    // What is no division cannot be kept in a persona, so it is not offered as one.
    (person) => plain(person.industry && (industryCode(person.industry) ?? industryWithin(person.industry))),
    (code) => ({
      value: code,
      words: industryName(code) ? `${code} ${industryName(code)}` : code,
      query: `industry:${quoted(code)}`
    })
  );
  tally(
    'country',
    (person) => plain(person.country),
    (code) => ({
      value: code,
      words: countryName(code),
      query: `country:${quoted(countryName(code))}`
    })
  );
  tally(
    'size',
    (person) => {
      const size = sizeOf(person);
      return size && { key: String(size[0]), value: size };
    },
    (size) => ({
      value: { from: size[0], to: size[1] },
      words: sizeWords(size),
      query: `headcount:[${size[0]} TO ${size[1] ?? '*'}]`
    })
  );
  return { traits, pairs: pairsOf(rows) };
}

/** Pairs of size and rank among those with both known, the most characteristic first. */
function pairsOf(rows: readonly Person[]): TraitPair[] {
  const known = rows.flatMap((person) => {
    const size = sizeOf(person);
    const rank = person.rank ?? readTitle(titleOf(person)).rank;
    return size && rank ? [{ size: sizeWords(size), rank }] : [];
  });
  const count = (test: (one: { size: string; rank: string }) => boolean) => known.filter(test).length;
  const seen = new Set<string>();
  return known
    .filter(({ size, rank }) => seen.size < seen.add(`${size} ${rank}`).size)
    .map(({ size, rank }) => ({
      size,
      rank,
      count: count((one) => one.size === size && one.rank === rank),
      expected: (count((one) => one.size === size) * count((one) => one.rank === rank)) / known.length
    }))
    .filter((pair) => pair.count >= enough && pair.count > 1.25 * pair.expected)
    .sort((a, b) => b.count / b.expected - a.count / a.expected);
}

/** How many times more frequent a trait is among customers than at a source; null where the source has none of it or cannot be asked. */
export const liftOf = (trait: CustomerTrait, base: { count: number; of: number } | null): number | null =>
  base && base.count > 0 && base.of > 0 ? trait.share / (base.count / base.of) : null;
