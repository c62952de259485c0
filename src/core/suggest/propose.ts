import { dan, deu, eng, fra, nld, nob, swe } from 'stopword';
import { countBits, countCommon, emptyBitmap, setBit, type Bitmap } from '../corpus/bitmap';
import type { Person } from '../corpus/person';
import { searches, valuesOf, type Field } from '../corpus/values';
import type { JudgedCount, PeopleSets } from '../measure/term-ledger';
import { wilson, type Interval } from '../measure/wilson';
import { exactMatching, type Matching } from '../query/matching';
import { parse, type SetQueries } from '../query/parse';
import { print } from '../query/print';
import { isTerm, terms, type Query, type Word } from '../query/query';
import { isTextScope, type Scope } from '../query/scopes';
import { fold, tokenKeys } from '../query/tokens';
import { industryName } from '../people/industries';
import { meanings } from '../titles/meanings';
import { ambiguousIn, senseIn } from '../titles/senses';
import { applyChanges, type Change } from './change';
import { explain } from './explain';

export const proposalKinds = [
  'quote',
  'current title',
  'exclude',
  'drop',
  'tell apart',
  'add wording',
  'widen'
] as const;

/** A change of a string that evidence speaks for, not yet measured. */
export interface Candidate {
  kind: (typeof proposalKinds)[number];
  /** In words. */
  says: string;
  changes: Change[];
}

/** A person with the verdict on them. */
export interface Judged {
  person: Person;
  fit: boolean;
}

/** Exclusions thought of at most. */
const mostExclusions = 24;
/** Misses that speak for an exclusion, at least. */
const leastMisses = 2;

/** Changes worth measuring, from the string itself and from people judged: some found, some perhaps not. */
export function candidates(
  text: string,
  query: Query,
  judged: readonly Judged[],
  matching: Matching = exactMatching,
  sets?: SetQueries
): Candidate[] {
  const wanted = new Set([...terms(query)].filter((one) => one.wanted).flatMap(({ term }) => keysOf(term)));
  return [
    ...quotes(query),
    ...currentTitles(query),
    ...meaningsApart(query, judged),
    ...drops(query),
    ...exclusions(judged, wanted),
    ...waysIn(text, query, judged, matching, sets)
  ];
}

const keysOf = (term: Query): string[] =>
  term.kind === 'word' || term.kind === 'phrase' ? tokenKeys(term.text).map(fold) : [];

/** Several single words that must all be there, in one scope: a phrase that lost its quotes, perhaps. */
function quotes(query: Query): Candidate[] {
  const found: Candidate[] = [];
  const walk = (node: Query) => {
    if (isTerm(node)) return;
    if (node.kind === 'not') return walk(node.part);
    node.parts.forEach(walk);
    if (node.kind !== 'and') return;
    const runs: Word[][] = [];
    for (const part of node.parts) {
      const last = runs.at(-1);
      if (part.kind !== 'word' || part.prefix || part.set || !part.at || !isTextScope(part.scope)) runs.push([]);
      else if (last?.length && last[0]!.scope === part.scope) last.push(part);
      else runs.push([part]);
    }
    for (const run of runs)
      if (run.length > 1) {
        const words = run.map((word) => word.text).join(' ');
        found.push({
          kind: 'quote',
          says: `Quote “${words}”`,
          changes: [{ kind: 'quote', at: run.map((word) => word.at!), scope: run[0]!.scope, text: words }]
        });
      }
  };
  walk(query);
  return found;
}

/** Wanted words searched in the whole profile, each moved to the current title. */
const currentTitles = (query: Query): Candidate[] =>
  [...terms(query)].flatMap(({ term, wanted }): Candidate[] =>
    wanted && term.kind !== 'range' && term.scope === 'any' && term.at && !term.set
      ? [
          {
            kind: 'current title',
            says: `Look for ${print(term)} in the current title only`,
            changes: [{ kind: 'rescope', at: term.at, scope: 'title' }]
          }
        ]
      : []
  );

/** Alternatives that could be left out. */
function drops(query: Query): Candidate[] {
  const found: Candidate[] = [];
  const walk = (node: Query, wanted: boolean) => {
    if (isTerm(node)) return;
    if (node.kind === 'not') return walk(node.part, !wanted);
    for (const part of node.parts) walk(part, wanted);
    if (node.kind === 'or' && wanted)
      for (const part of node.parts)
        if (isTerm(part) && part.at && !part.set)
          found.push({ kind: 'drop', says: `Leave out ${print(part)}`, changes: [{ kind: 'drop', at: part.at }] });
  };
  walk(query, true);
  return found;
}

/** For each word of several meanings: a word beside it that tells the meaning most fits have. */
function meaningsApart(query: Query, judged: readonly Judged[]): Candidate[] {
  return ambiguousIn(query).flatMap(({ word, places }): Candidate[] => {
    const senses = meanings(word);
    const fits = senses.map(() => 0);
    for (const { person, fit } of judged) {
      const sense = fit ? senseIn(word, person) : null;
      if (typeof sense === 'number') fits[sense]!++;
    }
    const most = Math.max(...fits);
    if (!most || !places.length) return [];
    const { name, tells } = senses[fits.indexOf(most)]!;
    return [
      {
        kind: 'tell apart',
        says: `Want a word of “${name}” beside ${word}`,
        changes: places.map((at) => ({ kind: 'narrow', at, one: tells.map((tell) => ({ scope: 'any', text: tell })) }))
      }
    ];
  });
}

/** Scopes in which words of misses are looked for, the narrowest first: where two would do the same, the first is proposed. */
const wordScopes = ['title', 'company', 'any'] as const;
const factScopes = ['rank', 'function', 'industry'] as const;
/** Fields of names and places tell who a person is, not what they do: no exclusion is built from them. */
const telling: ReadonlySet<Field> = new Set<Field>(['title', 'company', 'jobtext', 'about', 'skill', 'group']);

/** Words, pairs of words and values of facts that misses have and fits do not. */
function exclusions(judged: readonly Judged[], wanted: ReadonlySet<string>): Candidate[] {
  const counts = new Map<string, { scope: Scope; text: string; misses: Set<number>; fits: number }>();
  judged.forEach(({ person, fit }, i) => {
    for (const key of tellsOf(person)) {
      let one = counts.get(key);
      if (!one) {
        const [scope, text] = key.split('\n') as [Scope, string];
        one = { scope, text, misses: new Set(), fits: 0 };
        counts.set(key, one);
      }
      if (fit) one.fits++;
      else one.misses.add(i);
    }
  });
  const fits = judged.filter(({ fit }) => fit).length;
  const misses = judged.length - fits;
  const likely = [...counts.values()].filter(
    (one) =>
      one.misses.size >= leastMisses &&
      !one.text.split(' ').every((key) => wanted.has(key)) &&
      // Eight times as frequent among misses as among fits.
      one.fits * misses * 8 <= one.misses.size * fits
  );
  const rank = (scope: Scope) => [...factScopes, ...wordScopes].indexOf(scope as 'title');
  likely.sort(
    (a, b) =>
      b.misses.size - 4 * b.fits - (a.misses.size - 4 * a.fits) ||
      rank(a.scope) - rank(b.scope) ||
      a.text.split(' ').length - b.text.split(' ').length ||
      (a.text < b.text ? -1 : 1)
  );
  const kept: typeof likely = [];
  for (const one of likely) {
    if (kept.length === mostExclusions) break;
    const same = kept.some(
      ({ misses }) => one.misses.size <= misses.size && [...one.misses].every((i) => misses.has(i))
    );
    if (!same) kept.push(one);
  }
  return kept.map(({ scope, text }) => ({
    kind: 'exclude',
    says: `Exclude ${scope === 'any' ? '' : `${scope} `}${
      scope === 'industry' ? `${text} ${industryName(text) ?? ''}`.trim() : `“${text}”`
    }`,
    changes: [{ kind: 'exclude', scope, text }]
  }));
}

/** Words that tell nothing, in the languages of the lexicon. */
const fillers: ReadonlySet<string> = new Set([eng, deu, nld, dan, swe, nob, fra].flat().map(fold));

/** What an exclusion could say of a person: words and pairs of words side by side, by scope, and values of facts. */
function tellsOf(person: Person): Set<string> {
  const tells = new Set<string>();
  for (const { field, text } of valuesOf(person)) {
    if (!telling.has(field)) continue;
    const keys = tokenKeys(text).map(fold);
    keys.forEach((key, i) => {
      const pair = i + 1 < keys.length ? `${key} ${keys[i + 1]!}` : null;
      for (const scope of wordScopes)
        if (searches(scope, field)) {
          if (key.length > 2 && !/^\d+$/.test(key) && !fillers.has(key)) tells.add(`${scope}\n${key}`);
          if (pair && pair.length > 6 && !fillers.has(key) && !fillers.has(keys[i + 1]!))
            tells.add(`${scope}\n${pair}`);
        }
    });
  }
  for (const scope of factScopes) if (person[scope]) tells.add(`${scope}\n${fold(person[scope])}`);
  return tells;
}

/** For fits whom the string does not find: the change that lets each in, where it is a wording or a wider fact. */
function waysIn(
  text: string,
  query: Query,
  judged: readonly Judged[],
  matching: Matching,
  sets?: SetQueries
): Candidate[] {
  const ways = new Map<string, Candidate>();
  for (const { person, fit } of judged) {
    if (!fit) continue;
    const { letIn } = explain(text, query, person, matching, sets);
    const [change] = letIn?.changes ?? [];
    if (letIn?.changes.length !== 1 || !change || (change.kind !== 'add' && change.kind !== 'widen')) continue;
    const says = letIn.says[0]!;
    ways.set(JSON.stringify(change), {
      kind: change.kind === 'widen' ? 'widen' : 'add wording',
      says: says[0]!.toUpperCase() + says.slice(1),
      changes: [change]
    });
  }
  return [...ways.values()];
}

/** What a change does at one source. */
export interface Effect {
  /** People found before and after. */
  before: number;
  after: number;
  removed: number;
  added: number;
  /** Judged people who no longer come, and who come anew. */
  gone: JudgedCount;
  come: JudgedCount;
  /** Share of all judged misses that go, and of all judged fits that are lost; null where none was judged. */
  missesRemoved: (Interval & { share: number }) | null;
  fitsLost: (Interval & { share: number }) | null;
  precision: { before: number | null; after: number | null };
}

/** A source whose people are judged, as sets. */
export interface JudgedSource {
  people: PeopleSets;
  fits: Bitmap;
  misses: Bitmap;
}

/** What going from one query to another does among the people of a source. */
export function effectOf(before: Query, after: Query, { people, fits, misses }: JudgedSource): Effect {
  const [had, has] = [people.rows(before), people.rows(after)];
  const count = (sets: Bitmap[], except: Bitmap[] = []): JudgedCount => ({
    fits: countCommon([...sets, fits], except),
    misses: countCommon([...sets, misses], except)
  });
  const [then, now, gone, come] = [count([had]), count([has]), count([had], [has]), count([has], [had])];
  const share = (part: number, whole: number) => (whole ? { share: part / whole, ...wilson(part, whole) } : null);
  const precision = (judged: JudgedCount) =>
    judged.fits + judged.misses ? judged.fits / (judged.fits + judged.misses) : null;
  return {
    before: countBits(had),
    after: countBits(has),
    removed: countCommon([had], [has]),
    added: countCommon([has], [had]),
    gone,
    come,
    missesRemoved: share(gone.misses, then.misses),
    fitsLost: share(gone.fits, then.fits),
    precision: { before: precision(then), after: precision(now) }
  };
}

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
const mostLost = 0.03;

/** Measures candidates at sources, drops those that gain nothing, and puts those that gain most first, the costly last. */
export function measure(
  text: string,
  query: Query,
  list: readonly Candidate[],
  sources: readonly JudgedSource[],
  sets?: SetQueries
): Proposal[] {
  const proposals: Proposal[] = [];
  const seen = new Set<string>();
  for (const candidate of list) {
    const changed = applyChanges(text, candidate.changes, sets);
    if (seen.has(changed) || changed === text) continue;
    seen.add(changed);
    const after = parse(changed, sets).query;
    if (!after) continue;
    const effects = sources.map((source) => effectOf(query, after, source));
    const { gain, costly } = weigh(effects, candidate.changes[0]!);
    const unjudged = effects.every(({ precision }) => precision.before === null);
    if (gain > 0 || (unjudged && candidate.kind === 'quote'))
      proposals.push({ ...candidate, text: changed, effects, gain, costly });
  }
  return proposals.sort((a, b) => Number(a.costly) - Number(b.costly) || b.gain - a.gain);
}

function weigh(effects: readonly Effect[], change: Change): { gain: number; costly: boolean } {
  let [gain, lost, had] = [0, 0, 0];
  for (const { before, removed, added, gone, come, precision } of effects) {
    // A source where nobody is judged says nothing for or against.
    if (precision.before === null) continue;
    const base = precision.before;
    const goes = removed * expected(gone, Math.min(1, base * likelihood(change)));
    const comes = added * expected(come, base);
    gain += removed - goes - priceOfFits * goes + worthOfFits * comes - (added - comes);
    lost += goes;
    had += before * base;
  }
  return { gain, costly: lost > mostLost * had };
}

/** Share of fits to expect among people of whom some are judged: those, and as if two more were as likely fits as `prior` says. */
const expected = ({ fits, misses }: JudgedCount, prior: number) => (fits + 2 * prior) / (fits + misses + 2);

/** How likely an exclusion hits fits before anything is judged, against the whole: a fact or a title says more of a person than a word somewhere. Judgement, no published source. */
function likelihood(change: Change): number {
  if (change.kind !== 'exclude') return 1;
  return { any: 2.5, company: 1.5, title: 0.75 }[change.scope as string] ?? 0.5;
}

/** Sets of judged people by row, for `measure`: `rowOf` is where a person stands in the source, undefined where they do not. */
export function judgedSource(
  people: PeopleSets,
  verdicts: Iterable<{ id: string; fit: boolean }>,
  rowOf: (id: string) => number | undefined
): JudgedSource {
  const [fits, misses] = [emptyBitmap(people.size), emptyBitmap(people.size)];
  for (const { id, fit } of verdicts) {
    const row = rowOf(id);
    if (row !== undefined) setBit(fit ? fits : misses, row);
  }
  return { people, fits, misses };
}
