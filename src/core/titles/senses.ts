import type { Person } from '../people/person';
import { valuesOf } from '../people/values';
import { terms, type Query, type Span } from '../language/query';
import { isTextScope } from '../language/scopes';
import { fold, tokenKeys } from '../language/tokens';
import { ambiguousWords, meanings } from './meanings';
import { fromLexicon } from './taken-up';

const several = fromLexicon((): ReadonlySet<string> => new Set(ambiguousWords()));

/** A wanted word of a string that has several meanings. */
export interface AmbiguousWord {
  word: string;
  /** Where it is in the text on its own; empty where it comes out of a named set. */
  places: Span[];
}

/** The wanted words of a query that are known to have several meanings and stand by themselves, each once. */
export function ambiguousIn(query: Query): AmbiguousWord[] {
  const found = new Map<string, AmbiguousWord>();
  for (const { term, wanted } of terms(query)) {
    if (!wanted || term.kind === 'range' || !isTextScope(term.scope) || (term.kind === 'word' && term.prefix)) continue;
    const keys = tokenKeys(term.text).map(fold);
    if (keys.length !== 1 || !several().has(keys[0]!)) continue;
    const one = found.get(keys[0]!) ?? { word: keys[0]!, places: [] };
    if (term.at && !term.set) one.places.push(term.at);
    found.set(keys[0]!, one);
  }
  return [...found.values()];
}

/**
 * The meaning of a word in a profile: the one with the most indicator words, those next to the word counted twice. Undefined if
 * the word is absent, null if nothing indicates a meaning or two tie.
 */
export function senseIn(word: string, person: Person): number | null | undefined {
  const senses = meanings(word);
  const wanted = fold(word);
  const scores = senses.map(() => 0);
  let there = false;
  for (const { text } of valuesOf(person)) {
    const keys = new Set(tokenKeys(text).map(fold));
    const beside = keys.has(wanted);
    there ||= beside;
    senses.forEach(({ indicators }, i) => {
      for (const indicator of indicators) if (keys.has(indicator)) scores[i]! += beside ? 2 : 1;
    });
  }
  if (!there) return undefined;
  const best = Math.max(...scores);
  return best > 0 && scores.filter((score) => score === best).length === 1 ? scores.indexOf(best) : null;
}

/** How often each meaning of a word is met among some people. */
export interface SenseCount {
  word: string;
  /** People with the word in their profile. */
  people: number;
  /** How many of these have each meaning, in the order of `meanings(word)`; the rest indicate none. */
  senses: number[];
}

/** Which meaning each of some words has in a profile, by the person's id: read once, however often they are counted. */
export type SensesRead = Map<string, (number | null | undefined)[]>;

/** Counts the meanings of words among people; `read` holds what was read of them before, for the same words. */
export function countSenses(
  words: readonly string[],
  people: readonly Person[],
  read: SensesRead = new Map()
): SenseCount[] {
  const counts = words.map((word) => ({ word, people: 0, senses: meanings(word).map(() => 0) }));
  for (const person of people) {
    let senses = read.get(person.id);
    if (!senses) read.set(person.id, (senses = words.map((word) => senseIn(word, person))));
    senses.forEach((sense, i) => {
      if (sense === undefined) return;
      counts[i]!.people++;
      if (sense !== null) counts[i]!.senses[sense]!++;
    });
  }
  return counts;
}

const written = (words: readonly string[]) => (words.length === 1 ? words[0]! : `(${words.join(' OR ')})`);

/**
 * The text of a string changed so that a word has one meaning: `asking` requires a word beside it that indicates the meaning,
 * null where it stands nowhere on its own; `excluding` leaves out anybody who has words of its other meanings.
 */
export function tellApart(
  text: string,
  query: Query,
  { word, places }: AmbiguousWord,
  sense: number
): { asking: string | null; excluding: string | null } {
  const senses = meanings(word);
  const own = senses[sense]!.indicators;
  const spoken = new Set(
    [...terms(query)]
      .filter(({ wanted }) => wanted)
      .flatMap(({ term }) => (term.kind === 'range' ? [] : tokenKeys(term.text).map(fold)))
  );
  const others = [...new Set(senses.flatMap(({ indicators }, i) => (i === sense ? [] : indicators)))].filter(
    (tell) => !own.includes(tell) && !spoken.has(tell)
  );
  let asking = text;
  for (const { from, to } of [...places].sort((a, b) => b.from - a.from))
    asking = `${asking.slice(0, from)}(${asking.slice(from, to)} AND any:${written(own)})${asking.slice(to)}`;
  const base = query.kind === 'or' ? `(${text})` : text;
  return {
    asking: places.length ? asking : null,
    excluding: others.length ? `${base}\nNOT ${written(others)}` : null
  };
}
