import { coverRange, type Bucket } from '../dialect/buckets';
import type { Search } from '../dialect/search-schema';
import type { Fact, Sheet } from '../dialect/sheet';
import { isNumberFact, type NamedFact, type NumberFact, type Scope } from '../language/scopes';
import { fold, keysOf } from '../language/tokens';
import { countries } from '../people/countries';
import type { Person } from '../people/person';
import type { Cut, CutPart } from './slice';

/** Rows that a cut is planned from, how many there should be in all, and how many a source shows of a search. */
export interface CutNeeds {
  sheet: Sheet;
  /** Some of the rows that the search brings. */
  seen: readonly Person[];
  /** How many it should bring. */
  count: number;
  /** Rows that a part may have: as many as the source shows. */
  most: number;
}

/** Parts are planned a little smaller than what is shown, since shares of a few rows are not known exactly. */
const margin = 0.8;
/** Values that are distinguished at most; the others come with the rest. */
const maxValues = 400;

type Facts = Search['facts'];
const withFact = (search: Search, scope: Scope, change: Partial<Facts[number]>): Search => {
  const before = search.facts.find((fact) => fact.scope === scope);
  const next = { ...(before ?? { scope }), ...change };
  return { ...search, facts: [...search.facts.filter((fact) => fact.scope !== scope), next] };
};
const factOf = (search: Search, scope: Scope) => search.facts.find((fact) => fact.scope === scope);

/** The cuts by a fact that the source can be asked, those that its search is cut by already among them where they go further. */
export function cutsByFact(search: Search, needs: CutNeeds): Cut[] {
  return needs.sheet.facts.flatMap((fact) => {
    if (isNumberFact(fact.scope)) {
      if (fact.buckets) return cutByBuckets(search, fact, fact.scope, needs) ?? [];
      return fact.range ? (cutByNumbers(search, fact.scope, needs) ?? []) : [];
    }
    // Texts that a source takes as lists are no facts.
    return fact.include && fact.scope in valueOf ? (cutByValues(search, fact, needs) ?? []) : [];
  });
}

/** How a person's value of a fact is chosen at a source. */
const valueOf: Record<NamedFact, (person: Person) => string | undefined> = {
  place: ({ place }) => place,
  country: ({ country }) => country,
  industry: ({ industry }) => industry,
  function: (person) => person.function,
  rank: ({ rank }) => rank,
  hiring: ({ hiring }) => yesOrNo(hiring),
  funded: ({ funded }) => yesOrNo(funded),
  tech: ({ tech }) => tech?.[0],
  mail: ({ mail }) => mail,
  language: ({ language }) => language
};
const yesOrNo = (value: boolean | undefined) => (value === undefined ? undefined : value ? 'yes' : 'no');

/** A value as it is typed or chosen there; undefined where nothing of it can be looked for. */
function written(value: string | undefined): string | undefined {
  const text = value?.replaceAll(/["*\s]+/g, ' ').trim();
  return text && keysOf(text).length ? text : undefined;
}

/** How many of the rows seen have each value, the most frequent first. */
function sharesOf(scope: NamedFact, seen: readonly Person[], reply: readonly string[] | null): Map<string, number> {
  const counts = new Map<string, number>();
  const chosen = reply && new Map(reply.map((value) => [value.toLowerCase(), value]));
  for (const person of seen) {
    const value = written(valueOf[scope](person));
    const known = value === undefined || !chosen ? value : chosen.get(value.toLowerCase());
    if (known !== undefined) counts.set(known, (counts.get(known) ?? 0) + 1);
  }
  return new Map([...counts].sort((a, b) => b[1] - a[1]).slice(0, maxValues));
}

/** All values that a fact can have, where they can be told. */
const allValues = (fact: Fact): readonly string[] | null =>
  fact.values ?? (fact.scope === 'country' ? countries().map(({ code }) => code) : null);

function cutByValues(search: Search, fact: Fact, needs: CutNeeds): Cut | null {
  const scope = fact.scope as NamedFact;
  const { seen, count, most } = needs;
  const before = factOf(search, scope);
  const per = seen.length ? count / seen.length : 0;
  const counts = sharesOf(scope, seen, fact.values);
  const limit = fact.most ?? Infinity;
  // A list that is asked already is shared out: nobody else can come.
  if (before?.include) {
    if (before.include.length < 2) return null;
    const known = new Map(before.include.map((value) => [value, countIn(counts, value) * per]));
    const bins = binsOf(known, most, limit);
    return bins.length < 2
      ? null
      : {
          by: { kind: 'values', scope },
          parts: partsOf(search, scope, bins),
          lost: null
        };
  }

  const withoutThose = before?.exclude ?? [];
  if (fact.exclude) {
    const room = limit - withoutThose.length;
    const known = new Map(
      [...counts]
        .filter(([value]) => !withoutThose.includes(value))
        .slice(0, room)
        .map(([value, n]) => [value, n * per])
    );
    if (!known.size) return null;
    const bins = binsOf(known, most, limit);
    const asked = [...known.keys()];
    const expected = [...known.values()].reduce((sum, one) => sum + one, 0);
    // With nobody beside, the rest is asked all the same: what was not seen may be there.
    const rest: CutPart = {
      search: withFact(search, scope, { exclude: [...withoutThose, ...asked] }),
      what: 'any other or not listed',
      expected: Math.max(0, count - expected),
      rest: true
    };
    return {
      by: { kind: 'values', scope },
      parts: [...partsOf(search, scope, bins), rest],
      lost: null
    };
  }

  const all = allValues(fact);
  if (!all) return null;
  const known = new Map(all.map((value) => [value, (counts.get(value) ?? 0) * per]));
  const bins = binsOf(known, most, limit);
  if (bins.length < 2) return null;
  const reply = all.reduce((sum, value) => sum + (counts.get(value) ?? 0), 0);
  return {
    by: { kind: 'values', scope },
    parts: partsOf(search, scope, bins),
    lost: { scope, expected: (seen.length - reply) * per }
  };
}

/** How many rows have a value that is asked by name, code or in quotes. */
function countIn(counts: ReadonlyMap<string, number>, asked: string): number {
  const bare = asked.replaceAll('"', '').toLowerCase();
  const country = countries().find(({ code, name }) => code.toLowerCase() === bare || name.toLowerCase() === bare);
  let sum = 0;
  for (const [value, n] of counts) if (value.toLowerCase() === bare || (country && value === country.code)) sum += n;
  return sum;
}

interface Bin {
  values: string[];
  expected: number;
}

/** Values put together while they stay under what is shown, the largest first; one too large has its own bin. */
function binsOf(expected: ReadonlyMap<string, number>, most: number, limit: number): Bin[] {
  const bins: Bin[] = [];
  const room = most * margin;
  for (const [value, rows] of [...expected].sort((a, b) => b[1] - a[1])) {
    const bin = bins.find((one) => one.expected + rows <= room && one.values.length < limit);
    if (bin) {
      bin.values.push(value);
      bin.expected += rows;
    } else bins.push({ values: [value], expected: rows });
  }
  return bins;
}

/** A part for each bin: anybody who has one of its values. */
const partsOf = (search: Search, scope: Scope, bins: readonly Bin[]): CutPart[] =>
  bins.map(({ values, expected }) => ({
    search: withFact(search, scope, { include: values }),
    what: values.join(' or '),
    expected,
    rest: false
  }));

/** By the named ranges that a place offers of a number, where together they leave no gap. */
function cutByBuckets(search: Search, fact: Fact, scope: NumberFact, { seen, count, most }: CutNeeds): Cut | null {
  const before = factOf(search, scope);
  const named = new Set(before?.include?.map(fold));
  const without = new Set(before?.exclude?.map(fold));
  const asked = fact.buckets!.filter(
    ({ label }) => (!before?.include || named.has(fold(label))) && !without.has(fold(label))
  );
  if (asked.length < 2 || (!before?.include && !coverRange({ low: null, high: null }, fact.buckets!))) return null;
  const per = seen.length ? count / seen.length : 0;
  const numbers = seen.flatMap((person) => person[scope] ?? []);
  const rowsOf = ({ low, high }: Bucket) =>
    numbers.filter((value) => (low ?? -Infinity) <= value && value <= (high ?? Infinity)).length * per;
  const bins = binsOf(new Map(asked.map((bucket) => [bucket.label, rowsOf(bucket)])), most, fact.most ?? Infinity);
  const parts = partsOf(search, scope, bins);
  if (before?.include) return parts.length < 2 ? null : { by: { kind: 'numbers', scope }, parts, lost: null };
  const unlisted = (seen.length - numbers.length) * per;
  const labels = asked.map(({ label }) => label);
  if (!fact.exclude || labels.length + without.size > (fact.most ?? Infinity))
    return parts.length < 2 ? null : { by: { kind: 'numbers', scope }, parts, lost: { scope, expected: unlisted } };
  const rest: CutPart = {
    search: withFact(search, scope, { exclude: [...(before?.exclude ?? []), ...labels] }),
    what: 'not listed',
    expected: unlisted,
    rest: true
  };
  return { by: { kind: 'numbers', scope }, parts: [...parts, rest], lost: null };
}

function cutByNumbers(search: Search, scope: NumberFact, { seen, count, most }: CutNeeds): Cut | null {
  const before = factOf(search, scope)?.range;
  const numbers = seen
    .flatMap((person) => person[scope] ?? [])
    .filter((value) => (before?.low ?? -Infinity) <= value && value <= (before?.high ?? Infinity))
    .sort((a, b) => a - b);
  if (!numbers.length) return null;
  const parts = Math.min(numbers.length, Math.max(2, Math.ceil(count / (most * margin))));
  // Bounds belong to both sides, so that no number falls between them.
  const bounds = [
    ...new Set(Array.from({ length: parts - 1 }, (_, i) => numbers[Math.floor(((i + 1) * numbers.length) / parts)]!))
  ].filter((bound) => bound > (before?.low ?? -Infinity) && bound < (before?.high ?? Infinity));
  if (!bounds.length) return null;
  const edges = [before?.low ?? null, ...bounds, before?.high ?? null];
  const unlisted = before ? 0 : ((seen.length - numbers.length) * count) / seen.length;
  return {
    by: { kind: 'numbers', scope },
    parts: edges.slice(1).map((high, i) => {
      const low = edges[i]!;
      const within = numbers.filter((value) => (low ?? -Infinity) <= value && value <= (high ?? Infinity)).length;
      return {
        search: withFact(search, scope, { range: { low, high } }),
        what: low === null ? `up to ${high}` : high === null ? `${low} or more` : `${low} to ${high}`,
        expected: (within * (count - unlisted)) / numbers.length,
        rest: false
      };
    }),
    lost: before ? null : { scope, expected: unlisted }
  };
}
