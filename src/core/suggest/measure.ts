import { addAll, emptyBitmap, keepCommon, takeOut, type Bitmap } from '../corpus/bitmap';
import { visitParts, type JudgedCount, type PeopleSets, type PartInString } from '../measure/term-ledger';
import { parse, type SetQueries } from '../language/parse';
import { isTerm, type Query, type Span, type Term } from '../language/query';
import type { Scope } from '../language/scopes';
import { applyChanges } from './change';
import type { Change } from './change-schema';
import { effectOf, effectOfSets, type Effect, type JudgedSource } from './effect';
import { bestFirst, maxProposals } from './proposal-order';
import type { Candidate } from './propose';

export interface Proposal extends Candidate {
  /** The string with the change made. */
  text: string;
  /** Per source, in the order given. */
  effects: Effect[];
  /** Misses expected to go, less four for every fit expected to be lost; fits expected to come count twice, misses that come against it. */
  gain: number;
  /** Expected to lose more than a few of the fits found: worth a look at who goes before it is taken. */
  costly: boolean;
}

/** A fit lost weighs as so many misses removed, and a fit that comes as so many misses that come. */
const priceOfFits = 4;
const worthOfFits = 2;
/** Share of the fits found that a change may be expected to lose; beyond it, it is costly. */
const maxLost = 0.03;

/** Candidates that no rule for sets covers and whose strings are made to measure them, at most. */
const maxRun = 40;

/** Measures candidates at sources, drops those that gain nothing, and puts those that gain most first, the costly last. */
export function measure(
  text: string,
  query: Query,
  list: readonly Candidate[],
  sources: readonly JudgedSource[],
  sets?: SetQueries
): Proposal[] {
  const at = sources.map((source) => effectsAt(text, query, list, source, sets));
  return rank(text, list, at, sets);
}

/** Puts measured candidates in order; `effects` are those of each source, in the order of the candidates. */
export function rank(
  text: string,
  list: readonly Candidate[],
  effects: readonly (readonly (Effect | null)[])[],
  sets?: SetQueries
): Proposal[] {
  const gains = list.flatMap((candidate, i) => {
    const mine = effects.map((at) => at[i] ?? null);
    if (!mine.every((effect) => effect !== null)) return [];
    const { gain, costly } = weigh(mine, candidate.changes[0]!);
    const unjudged = mine.every(({ precision }) => precision.before === null);
    return gain > 0 || (unjudged && candidate.kind === 'quote') ? [{ ...candidate, effects: mine, gain, costly }] : [];
  });
  gains.sort(bestFirst);
  const proposals: Proposal[] = [];
  const seen = new Set<string>([text]);
  for (const one of gains) {
    if (proposals.length === maxProposals) break;
    const changed = applyChanges(text, one.changes, sets);
    if (seen.has(changed) || !parse(changed, sets).query) continue;
    seen.add(changed);
    proposals.push({ ...one, text: changed });
  }
  return proposals;
}

const nameOf = ({ from, to }: Span) => `${from}-${to}`;

/**
 * What each candidate does at a source; null for one that cannot be measured. A change in one place is measured on sets:
 * the string around each place is put together once (`visitParts`), so that hundreds of alternatives cost little more
 * than the string itself.
 */
export function effectsAt(
  text: string,
  query: Query,
  list: readonly Candidate[],
  source: JudgedSource,
  sets?: SetQueries
): (Effect | null)[] {
  const effects: (Effect | null)[] = list.map(() => null);
  const { people } = source;
  const had = people.rows(query);
  const scratch = emptyBitmap(people.size);
  // A change of one place, by where that is; of the others the strings are made.
  const atPlace = new Map<string, { i: number; change: Change }[]>();
  let runs = 0;
  list.forEach(({ changes }, i) => {
    const [change] = changes;
    if (changes.length === 1 && change?.kind === 'exclude') {
      const unwanted = wordingOf(change.scope, change.text);
      if (!unwanted) return;
      scratch.set(had);
      takeOut(scratch, people.rows(unwanted, true));
      effects[i] = effectOfSets(had, scratch, source);
    } else if (changes.length === 1 && change && 'at' in change && !Array.isArray(change.at)) {
      const name = nameOf(change.at);
      const there = atPlace.get(name);
      if (there) there.push({ i, change });
      else atPlace.set(name, [{ i, change }]);
    } else if (runs < maxRun) {
      runs++;
      const after = parse(applyChanges(text, changes, sets), sets).query;
      if (after) effects[i] = effectOf(query, after, source);
    }
  });
  visitParts(query, people, (place) => {
    const there = isTerm(place.node) && place.node.at && atPlace.get(nameOf(place.node.at));
    for (const { i, change } of there || [])
      if (withChange(change, place, people, scratch)) effects[i] = effectOfSets(had, scratch, source);
  });
  return effects;
}

/** Writes the people that the string finds with one place changed into `rows`; false where nothing would be left. */
function withChange(change: Change, place: PartInString, people: PeopleSets, rows: Bitmap): boolean {
  const { excludes, needed, anyway, left } = place;
  if (change.kind === 'drop') {
    if (left === null) return false;
    rows.set(anyway);
    if (left === 'either') addAll(rows, needed);
    return true;
  }
  const changed = changedSet(change, place, people);
  if (!changed) return false;
  // The string is (set, or its complement where it excludes) AND needed OR anyway.
  rows.set(needed);
  (excludes ? takeOut : keepCommon)(rows, changed);
  addAll(rows, anyway);
  return true;
}

/** The people that a part finds after a change. */
function changedSet(change: Change, { node, set, excludes }: PartInString, people: PeopleSets): Bitmap | null {
  const rows = (query: Query) => people.rows(query, excludes);
  switch (change.kind) {
    case 'rescope':
      return rows({ ...(node as Term), scope: change.scope });
    case 'widen':
      return rows({ kind: 'range', scope: (node as Term).scope, low: change.low, high: change.high });
    case 'add': {
      const more = wordingOf(change.scope, change.text);
      if (!more) return null;
      const both = set.slice();
      addAll(both, rows(more));
      return both;
    }
    case 'narrow': {
      const either = emptyBitmap(people.size);
      for (const { scope, text } of change.one) {
        const word = wordingOf(scope, text);
        if (word) addAll(either, rows(word));
      }
      keepCommon(either, set);
      return either;
    }
    default:
      return null;
  }
}

/** A wording as it would be written into the string. */
function wordingOf(scope: Scope, text: string): Query | null {
  const { query } = parse(`${scope}:"${text.replaceAll(/["\\]/g, ' ')}"`);
  return query;
}

function weigh(effects: readonly Effect[], change: Change): { gain: number; costly: boolean } {
  let [gain, lost, had] = [0, 0, 0];
  for (const { before, removed, added, gone, come, judged, precision } of effects) {
    // A source where nobody is judged says nothing for or against.
    if (precision.before === null) continue;
    const base = precision.before;
    const goes = removed * expected(gone, shareOfFits(change, base, gone, judged));
    const comes = added * expected(come, base);
    gain += removed - goes - priceOfFits * goes + worthOfFits * comes - (added - comes);
    lost += goes;
    had += before * base;
  }
  return { gain, costly: lost > maxLost * had };
}

/** Expected share of fits among people, from those judged and two pseudo-judgements at the rate `prior`. */
const expected = ({ fits, misses }: JudgedCount, prior: number) => (fits + 2 * prior) / (fits + misses + 2);

/** Judgement, no published source; the demo's true fits lost stay below 5% with it. */
const leastOfUsual = 0.6;

/**
 * The share of fits to expect among people a change removes, before those of them are looked at who are judged. For an exclusion it
 * follows from how frequent its word is among all judged fits and misses (Bayes' theorem): that none of many fits has it says more than
 * the few misses that do. Each count is taken as if half a person more had it (Jeffreys' prior).
 */
function shareOfFits(change: Change, base: number, gone: JudgedCount, judged: JudgedCount): number {
  const usual = Math.min(1, base * likelihood(change));
  if (change.kind !== 'exclude') return usual;
  const among = (had: number, all: number) => (had + 0.5) / (all + 1);
  const [fits, misses] = [among(gone.fits, judged.fits) * base, among(gone.misses, judged.misses) * (1 - base)];
  // Candidates were chosen for what is being estimated, so that the evidence looks better than it is: it takes off a share at most.
  return Math.min(usual, Math.max(leastOfUsual * usual, (fits / (fits + misses)) * likelihood(change)));
}

/** How likely an exclusion hits fits before anything is judged, against the whole: a fact or a title says more of a person than a word somewhere. Judgement, no published source. */
function likelihood(change: Change): number {
  if (change.kind !== 'exclude') return 1;
  return { any: 2.5, company: 1.5, title: 0.75 }[change.scope as string] ?? 0.5;
}
