import { ces, dan, deu, eng, fin, fra, ita, nld, nob, pol, por, spa, swe } from 'stopword';
import type { Person } from '../people/person';
import { searches, valuesOf } from '../people/values';
import type { Field } from '../people/fields';
import { exactMatching, type Matching } from '../semantics/exact-matching';
import { matcher } from '../semantics/matches';
import { partsOf } from '../semantics/parts';
import { print } from '../language/print';
import { isTerm, terms, type Query, type Word } from '../language/query';
import { isOwnScope, isTextScope, type Scope } from '../language/scopes';
import { fold, tokenKeys } from '../language/tokens';
import { industryName } from '../people/industries';
import { meanings } from '../titles/meanings';
import { ambiguousIn, senseIn } from '../titles/senses';
import type { Change } from './change-schema';
import { wayIn } from './explain';
import type { ProposalKind } from './proposal-kinds';

/** A change of a string that evidence speaks for, not yet measured. */
export interface Candidate {
  kind: ProposalKind;
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
const maxExclusions = 24;
/** Misses that speak for an exclusion, at least. */
const leastMisses = 2;
/** Fits that speak for another wording, at least: one verdict may be a mistake. */
const leastFits = 2;

/** Changes worth measuring, from the string itself and from people judged: some found, some perhaps not. */
export function candidates(query: Query, judged: readonly Judged[], matching: Matching = exactMatching): Candidate[] {
  const wanted = new Set([...terms(query)].filter((one) => one.wanted).flatMap(({ term }) => keysOf(term)));
  return [
    ...quotes(query),
    ...currentTitles(query),
    ...meaningsApart(query, judged),
    ...drops(query),
    ...exclusions(judged, wanted),
    ...waysIn(query, judged, matching)
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
    const { name, indicators } = senses[fits.indexOf(most)]!;
    return [
      {
        kind: 'tell apart',
        says: `Want a word of “${name}” beside ${word}`,
        changes: places.map((at) => ({ kind: 'narrow', at, one: indicators.map((text) => ({ scope: 'any', text })) }))
      }
    ];
  });
}

/** Scopes in which words of misses are looked for, the narrowest first: where two would do the same, the first is proposed. */
const wordScopes = ['title', 'company', 'any'] as const;
const factScopes = ['rank', 'function', 'industry', 'language'] as const;
/** Letters of an own field's text at most: a longer one hardly comes twice. */
const longestOwn = 60;
/** Fields of names and places tell who a person is, not what they do: no exclusion is built from them. */
const telling: ReadonlySet<Field> = new Set<Field>(['title', 'company', 'jobtext', 'about', 'skill', 'group']);

/** Words, pairs of words and values of facts that misses have and fits do not. */
function exclusions(judged: readonly Judged[], wanted: ReadonlySet<string>): Candidate[] {
  const counts = new Map<string, { scope: Scope; text: string; misses: Set<number>; fits: number }>();
  judged.forEach(({ person, fit }, i) => {
    for (const key of indicatorsOf(person)) {
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
    if (kept.length === maxExclusions) break;
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
const fillers: ReadonlySet<string> = new Set(
  [eng, deu, nld, dan, swe, nob, fra, spa, por, ita, pol, fin, ces].flat().map(fold)
);

/** What an exclusion could say of a person: words and pairs of words side by side, by scope, and values of facts. */
function indicatorsOf(person: Person): Set<string> {
  const indicators = new Set<string>();
  for (const { field, text } of valuesOf(person)) {
    if (!telling.has(field)) continue;
    const keys = tokenKeys(text).map(fold);
    keys.forEach((key, i) => {
      const pair = i + 1 < keys.length ? `${key} ${keys[i + 1]!}` : null;
      for (const scope of wordScopes)
        if (searches(scope, field)) {
          if (key.length > 2 && !/^\d+$/.test(key) && !fillers.has(key)) indicators.add(`${scope}\n${key}`);
          if (pair && pair.length > 6 && !fillers.has(key) && !fillers.has(keys[i + 1]!))
            indicators.add(`${scope}\n${pair}`);
        }
    });
  }
  for (const { field, text } of valuesOf(person))
    if ((factScopes as readonly Field[]).includes(field) || (isOwnScope(field) && text.length <= longestOwn))
      if (field !== 'industry' || text === person.industry) indicators.add(`${field}\n${fold(text)}`);
  return indicators;
}

/** For fits the string does not find: the change that lets each in, where it is a wording or a wider fact. */
function waysIn(query: Query, judged: readonly Judged[], matching: Matching): Candidate[] {
  const parts = partsOf(query).map((part) => ({ part, meets: matcher(part.query, matching) }));
  const ways = new Map<string, Candidate & { fits: number }>();
  for (const { person, fit } of judged) {
    if (!fit) continue;
    const failing = parts.filter(({ meets }) => !meets(person));
    if (failing.length !== 1) continue;
    const way = wayIn(failing[0]!.part, person, matching);
    const change = way?.changes[0];
    if (way?.changes.length !== 1 || (change?.kind !== 'add' && change?.kind !== 'widen')) continue;
    const key = JSON.stringify(change);
    ways.set(key, {
      fits: (ways.get(key)?.fits ?? 0) + 1,
      kind: change.kind === 'widen' ? 'widen' : 'add wording',
      says: way.says[0]!.toUpperCase() + way.says.slice(1),
      changes: [change]
    });
  }
  return [...ways.values()]
    .filter(({ kind, fits }) => kind === 'widen' || fits >= leastFits)
    .map(({ kind, says, changes }) => ({ kind, says, changes }));
}
