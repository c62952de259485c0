import { print } from '../language/print';
import { isTerm, join, type Query } from '../language/query';
import { tokenKeys } from '../language/tokens';
import { industryCode } from '../people/industries';
import type { Person } from '../people/person';
import { presentJob } from '../people/present-job';

/** One thing that the good ones share more than the rest do. */
export interface SharedTrait {
  /** In Eave's notation. */
  text: string;
  good: number;
  ofGood: number;
  rest: number;
  ofRest: number;
  /** How many times more often the good ones show it than the rest; each count with a half added, so that it is never endless. */
  lift: number;
}

export interface MoreLike {
  /** The string that finds them; null where they share nothing that can be asked. */
  query: Query | null;
  traits: SharedTrait[];
}

/** A trait is taken up from here: seen in so much of the good ones, and so much oftener than in the rest. */
const [leastShare, leastLift] = [0.6, 1.25];
/** Share of them that a wording of a title is seen in at least. */
const leastOfTitles = 0.02;
/** Wordings of a title that are joined at most. */
const maxTitles = 12;
const maxValues = 12;

/** Lift of a share: as Brin, Motwani, Ullman and Tsur, SIGMOD 1997, have it (from memory), with a half added to each count. */
const liftOf = (good: number, ofGood: number, rest: number, ofRest: number) =>
  (good + 0.5) / (ofGood + 1) / ((rest + 0.5) / (ofRest + 1));

/**
 * What chosen people share against the rest of those seen, as a string: wordings of their titles (word pairs and threes that
 * cover them, each oftener there than in the rest), joined with those facts of person and firm that most of them share. A
 * fact that is not listed of somebody speaks neither for nor against it.
 */
export function moreLike(good: readonly Person[], rest: readonly Person[]): MoreLike {
  const titles = titleTrait(good, rest);
  const facts = [
    valueTrait('country', good, rest, ({ country }) => country),
    valueTrait('industry', good, rest, ({ industry }) => industry && (industryCode(industry) ?? industry)),
    sizeTrait(good, rest),
    valueTrait('rank', good, rest, ({ rank }) => rank, true),
    skillTrait(good, rest)
  ].flatMap((one) => one ?? []);
  const found = [...(titles ? [titles] : []), ...facts];
  // Without a title everybody at such firms would come.
  const query =
    found.length && titles
      ? join(
          'and',
          found.map(({ query: part }) => part)
        )
      : null;
  return { query, traits: found.map(({ trait }) => trait) };
}

interface Found {
  query: Query;
  trait: SharedTrait;
}

function trait(query: Query, good: [number, number], rest: [number, number]): Found {
  return {
    query,
    trait: {
      text: print(query),
      good: good[0],
      ofGood: good[1],
      rest: rest[0],
      ofRest: rest[1],
      lift: liftOf(...good, ...rest)
    }
  };
}

/** Pairs and threes of words that stand side by side in a title, and the title where it is one word. */
function wordings(title: string): string[] {
  const words = tokenKeys(title);
  if (words.length === 1) return words;
  const runs: string[] = [];
  for (const size of [2, 3])
    for (let at = 0; at + size <= words.length; at++) runs.push(words.slice(at, at + size).join(' '));
  return runs;
}

function titleTrait(good: readonly Person[], rest: readonly Person[]): Found | null {
  const sets = (people: readonly Person[]) =>
    people.flatMap((person) => {
      const title = presentJob(person)?.title;
      return title ? [new Set(wordings(title))] : [];
    });
  const [mine, others] = [sets(good), sets(rest)];
  if (!mine.length) return null;
  const inRest = new Map<string, number>();
  for (const set of others) for (const text of set) inRest.set(text, (inRest.get(text) ?? 0) + 1);
  const chosen: string[] = [];
  // A wording of one among many says nothing of what they share.
  const fewest = Math.max(1, Math.ceil(mine.length * leastOfTitles));
  let left = mine;
  while (left.length && chosen.length < maxTitles) {
    const counts = new Map<string, number>();
    for (const set of left) for (const text of set) counts.set(text, (counts.get(text) ?? 0) + 1);
    const [best] = [...counts]
      .map(([text, n]) => ({
        text,
        n,
        worth: n * Math.log2(1 + liftOf(n, mine.length, inRest.get(text) ?? 0, others.length))
      }))
      .filter(
        ({ text, n }) =>
          n >= fewest &&
          !/^(of|and|the|for|de|der|und|og|och|en|y|e)( |$)|( (of|and|the|for|de|der|und|og|och|en|y|e))$/.test(text)
      )
      .sort((a, b) => b.worth - a.worth || b.text.length - a.text.length || (a.text < b.text ? -1 : 1));
    if (!best) break;
    chosen.push(best.text);
    left = left.filter((set) => !set.has(best.text));
  }
  if (!chosen.length) return null;
  const shows = (set: ReadonlySet<string>) => chosen.some((text) => set.has(text));
  const parts = chosen.map((text): Query => ({ kind: text.includes(' ') ? 'phrase' : 'word', scope: 'title', text }));
  return trait(
    join('or', parts),
    [mine.filter(shows).length, mine.length],
    [others.filter(shows).length, others.length]
  );
}

/** Values of a fact that most of the good ones have, where it tells them from the rest. */
function valueTrait(
  scope: 'country' | 'industry' | 'rank',
  good: readonly Person[],
  rest: readonly Person[],
  of: (person: Person) => string | undefined,
  one = false
): Found | null {
  const listed = (people: readonly Person[]) => people.flatMap((person) => of(person) ?? []);
  const [mine, others] = [listed(good), listed(rest)];
  if (mine.length < good.length / 2) return null;
  const counts = new Map<string, number>();
  for (const value of mine) counts.set(value, (counts.get(value) ?? 0) + 1);
  const values = [...counts]
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .filter(([, n]) => n / mine.length >= (one ? leastShare : 0.04))
    .slice(0, one ? 1 : maxValues)
    .map(([value]) => value);
  if (!values.length) return null;
  const has = new Set(values);
  const counted = (list: readonly string[]) => list.filter((value) => has.has(value)).length;
  const found = trait(
    join(
      'or',
      values.map((text): Query => ({ kind: /\s|-/.test(text) ? 'phrase' : 'word', scope, text }))
    ),
    [counted(mine), mine.length],
    [counted(others), others.length]
  );
  return holds(found) ? found : null;
}

const holds = ({ trait: { good, ofGood, lift } }: Found) => good / ofGood >= leastShare && lift >= leastLift;

/** From the tenth to the ninetieth of a hundred firms by size, at bounds that a researcher would write. */
function sizeTrait(good: readonly Person[], rest: readonly Person[]): Found | null {
  const listed = (people: readonly Person[]) => people.flatMap(({ headcount }) => headcount ?? []);
  const [mine, others] = [listed(good).sort((a, b) => a - b), listed(rest)];
  if (mine.length < Math.max(3, good.length / 2)) return null;
  const low = [...bounds].reverse().find((bound) => bound <= mine[Math.floor(mine.length * 0.1)]!) ?? 1;
  const high =
    bounds.map((bound) => bound - 1).find((bound) => bound >= mine[Math.ceil(mine.length * 0.9) - 1]!) ?? null;
  const inside = (size: number) => size >= low && (high === null || size <= high);
  const found = trait(
    { kind: 'range', scope: 'headcount', low, high },
    [mine.filter(inside).length, mine.length],
    [others.filter(inside).length, others.length]
  );
  return holds(found) ? found : null;
}
/** Sizes at which bands of firms begin: the classes of EU 2003/361/EC, and round steps above them. */
const bounds = [1, 2, 10, 50, 250, 1000, 5000, 10_000, 100_000];

function skillTrait(good: readonly Person[], rest: readonly Person[]): Found | null {
  const listed = (people: readonly Person[]) =>
    people.flatMap(({ skills }) =>
      skills?.length ? [new Set(skills.map((skill) => tokenKeys(skill).join(' ')).filter(Boolean))] : []
    );
  const [mine, others] = [listed(good), listed(rest)];
  if (mine.length < Math.max(3, good.length / 2)) return null;
  const counts = new Map<string, number>();
  for (const set of mine) for (const skill of set) counts.set(skill, (counts.get(skill) ?? 0) + 1);
  const [best] = [...counts]
    .map(([text, n]) => {
      const query: Query = { kind: text.includes(' ') ? 'phrase' : 'word', scope: 'skill', text };
      return trait(query, [n, mine.length], [others.filter((set) => set.has(text)).length, others.length]);
    })
    .filter(holds)
    .sort((a, b) => b.trait.lift - a.trait.lift);
  return best && isTerm(best.query) ? best : null;
}

/** A firm at which people like the chosen ones may be. */
export interface FirmLike {
  company: string;
  people: number;
  /** How many of the firm's facts (industry, country, size) are those of the chosen ones' firms, of those that are listed. */
  shared: number;
  listed: number;
}

/** Firms of the rest that are like those of the chosen people, the most alike first; their own firms are left out. */
export function firmsLike(good: readonly Person[], rest: readonly Person[], most = 20): FirmLike[] {
  const sizeOf = (size: number) => bounds.filter((bound) => bound <= size).length;
  const facts = ({ industry, country, headcount }: Person) => ({
    industry: industry && (industryCode(industry) ?? industry),
    country,
    size: headcount === undefined ? undefined : String(sizeOf(headcount))
  });
  const share = new Map<string, number>();
  for (const person of good)
    for (const [name, value] of Object.entries(facts(person)))
      if (value) share.set(`${name} ${value}`, (share.get(`${name} ${value}`) ?? 0) + 1 / good.length);
  const own = new Set(good.flatMap((person) => presentJob(person)?.company ?? []));
  const firms = new Map<string, FirmLike & { worth: number }>();
  for (const person of rest) {
    const company = presentJob(person)?.company;
    if (!company || own.has(company)) continue;
    const known = firms.get(company);
    if (known) {
      known.people++;
      continue;
    }
    const listed = Object.entries(facts(person)).filter(([, value]) => value);
    const shares = listed.map(([name, value]) => share.get(`${name} ${value}`) ?? 0);
    firms.set(company, {
      company,
      people: 1,
      shared: shares.filter((one) => one > 0).length,
      listed: listed.length,
      worth: listed.length ? shares.reduce((a, b) => a + b, 0) / 3 : 0
    });
  }
  return [...firms.values()]
    .filter(({ shared }) => shared > 0)
    .sort((a, b) => b.worth - a.worth || b.people - a.people || (a.company < b.company ? -1 : 1))
    .slice(0, most)
    .map(({ company, people, shared, listed }) => ({ company, people, shared, listed }));
}
