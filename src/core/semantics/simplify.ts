import { implies, isNever, scopeImplies, keysImply, spanOf, wordingOf, type Under } from './implies';
import { isTerm, join, type And, type Or, type Phrase, type Query, type Range, type Word } from '../language/query';
import { print } from '../language/print';
import { WordingIndex } from './wording-index';
import { checkpoint } from '../language/checkpoint';

/** Groups compared part by part; beyond it only terms are compared, by their words. */
const maxGroups = 60;

/**
 * A query that means the same and is no longer: without double negations, repeats, wordings covered by shorter ones,
 * alternatives that can find nobody, and ranges that touch. Near linear in the number of terms.
 *
 * @example simplify('"senior quality manager" OR "quality manager"') // "quality manager"
 */
export function simplify(query: Query, under: Under = 'notation'): Query {
  const steps = { left: 200_000 };
  let now = query;
  for (let round = 0; round < 4; round++) {
    const next = once(now, under, steps);
    if (print(next) === print(now)) return next;
    now = next;
  }
  return now;
}

function once(query: Query, under: Under, steps: { left: number }): Query {
  if (isTerm(query)) return query;
  if (query.kind === 'not') {
    const part = once(query.part, under, steps);
    return part.kind === 'not' ? part.part : { ...query, part };
  }
  const parts = query.parts.map((part) => once(part, under, steps));
  const group = join(query.kind, parts, query.at);
  return group.kind === 'and' || group.kind === 'or' ? shorten(group, under, steps) : group;
}

function shorten(group: And | Or, under: Under, steps: { left: number }): Query {
  const { kind } = group;
  const merged = mergeRanges(group);
  // In an OR a part is needless that implies another; in an AND, one that another implies.
  const needless = (part: Query, beside: Query) =>
    kind === 'or' ? implies(part, beside, under, steps) : implies(beside, part, under, steps);
  const possible = kind === 'or' ? merged.filter((part) => !isNever(part)) : merged;
  let kept = possible.length ? possible : merged.slice(0, 1);

  const covered = coveredTerms(kept, kind, under);
  kept = kept.filter((part) => !covered.has(part));
  if (kept.length <= maxGroups || kept.filter((part) => !isTerm(part)).length <= maxGroups) {
    for (let i = kept.length - 1; i >= 0 && kept.length > 1 && steps.left > 0; i--) {
      const part = kept[i]!;
      const others = kept.filter((other) => other !== part && (!isTerm(part) || !isTerm(other)));
      if (others.some((other) => needless(part, other))) kept = kept.filter((other) => other !== part);
    }
  }
  return join(kind, kept, group.at);
}

/** Words and phrases made redundant by others beside them, each with the one that covers it; the first of several equal ones stays. */
export function coveredTerms(parts: readonly Query[], kind: 'and' | 'or', under: Under): Map<Query, Word | Phrase> {
  const index = new WordingIndex<Word | Phrase>();
  const order = new Map<Query, number>();
  const covered = new Map<Query, Word | Phrase>();
  const firstAlike = new Map<string, Word | Phrase>();
  for (const part of parts) {
    if (part.kind !== 'word' && part.kind !== 'phrase') continue;
    const wording = wordingOf(part);
    const name = `${part.scope} ${wording.stems} ${wording.prefix} ${wording.keys.join(' ')}`;
    const alike = firstAlike.get(name);
    if (alike) {
      covered.set(part, alike);
      continue;
    }
    firstAlike.set(name, part);
    order.set(part, order.size);
    index.add(wording, part);
  }
  for (const long of order.keys() as Iterable<Word | Phrase>) {
    const wording = wordingOf(long);
    for (const short of index.within(wording)) {
      checkpoint();
      const [needless, by] = kind === 'or' ? [long, short] : [short, long];
      if (short === long || covered.has(needless) || covered.has(by)) continue;
      const shortWording = wordingOf(short);
      if (!scopeImplies(long.scope, short.scope) || !keysImply(wording, shortWording, under)) continue;
      const alike = scopeImplies(short.scope, long.scope) && keysImply(shortWording, wording, under);
      if (alike && order.get(by)! > order.get(needless)!) continue;
      covered.set(needless, by);
    }
  }
  return covered;
}

/** Ranges of one fact joined into one where they overlap (OR), or cut to what they share (AND). */
function mergeRanges(group: And | Or): Query[] {
  const byFact = new Map<string, Range[]>();
  for (const part of group.parts) {
    const range = spanOf(part);
    if (range) byFact.set(range.scope, [...(byFact.get(range.scope) ?? []), range]);
  }
  const written = new Map<string, Query[]>();
  for (const [scope, ranges] of byFact) {
    if (ranges.length < 2) continue;
    if (group.kind === 'and') {
      const low = Math.max(...ranges.map((range) => range.low ?? -Infinity));
      const high = Math.min(...ranges.map((range) => range.high ?? Infinity));
      if (low <= high) written.set(scope, [bounded(ranges[0]!, low, high)]);
    } else {
      const sorted = [...ranges].sort((a, b) => (a.low ?? -Infinity) - (b.low ?? -Infinity));
      const joined: Range[] = [];
      for (const range of sorted) {
        const last = joined.at(-1);
        if (last && (range.low ?? -Infinity) <= (last.high ?? Infinity))
          joined[joined.length - 1] = bounded(
            last,
            last.low ?? -Infinity,
            Math.max(last.high ?? Infinity, range.high ?? Infinity)
          );
        else joined.push(range);
      }
      if (joined.length < ranges.length) written.set(scope, joined);
    }
  }
  if (!written.size) return group.parts;
  return group.parts.flatMap((part) => {
    const scope = spanOf(part)?.scope;
    const instead = scope && written.get(scope);
    if (!instead) return [part];
    written.set(scope, []);
    return instead;
  });
}

const bounded = (range: Range, low: number, high: number): Range => ({
  ...range,
  low: low === -Infinity ? null : low,
  high: high === Infinity ? null : high
});
