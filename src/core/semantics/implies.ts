import { isNumberFact, isTextScope, type Scope } from '../language/scopes';
import { isTerm, type Phrase, type Query, type Range, type Word } from '../language/query';
import { keysAsked } from './leaf';
import { rangeOf } from './matches';
import { tokenKeys } from '../language/tokens';
import { searches } from '../people/values';

/**
 * Under whose way of comparing words one thing implies another: the notation's own, or any source's (where unquoted
 * words may be stemmed, so that a quoted word finds fewer people than the same word unquoted).
 */
export type Under = 'notation' | 'any source';

/** What a word or phrase asks for. */
export interface Wording {
  scope: Scope;
  keys: readonly string[];
  prefix: boolean;
  /** An unquoted whole word: what a source may stem. */
  stems: boolean;
}

const wordings = new WeakMap<Word | Phrase, Wording>();

/** The folded words of a term, worked out once. */
export function wordingOf(term: Word | Phrase): Wording {
  let wording = wordings.get(term);
  if (!wording) {
    const keys = keysAsked(term);
    const prefix = term.kind === 'word' && term.prefix === true;
    wording = { scope: term.scope, keys, prefix, stems: term.kind === 'word' && keys.length === 1 && !prefix };
    wordings.set(term, wording);
  }
  return wording;
}

/** Whether anybody who has the words of `a` has those of `b` in the same value. */
export function keysImply(a: Wording, b: Wording, under: Under = 'notation'): boolean {
  if (under === 'any source' && a.stems && !(b.stems && a.keys[0] === b.keys[0])) return false;
  const size = b.keys.length;
  if (!size) return false;
  for (let from = 0; from + size <= a.keys.length; from++) {
    let i = 0;
    for (; i < size; i++) {
      const key = a.keys[from + i]!;
      const wanted = b.keys[i]!;
      const open = a.prefix && from + i === a.keys.length - 1;
      if (b.prefix && i === size - 1) {
        if (!key.startsWith(wanted)) break;
      } else if (open || key !== wanted) break;
    }
    if (i === size) return true;
  }
  return false;
}

/** Whether one scope searches no more than another. */
export function scopeImplies(a: Scope, b: Scope): boolean {
  if (a === b) return true;
  return b === 'any' && (isTextScope(a) || a === 'place') && searches('any', a as never);
}

/** The range of a term on a number fact, when it is one that somebody can be in; null otherwise. */
export function spanOf(term: Query): Range | null {
  if (!isTerm(term)) return null;
  const range = rangeOf(term);
  return range && range !== 'never' && (range.low ?? -Infinity) <= (range.high ?? Infinity) ? range : null;
}

/** Whether a term can't hold for anybody: a range on words, a word on numbers, bounds the wrong way round. */
export function isNever(term: Query): boolean {
  if (!isTerm(term)) return false;
  const range = rangeOf(term);
  if (range === null) return tokenKeys((term as Word).text).length === 0;
  return range === 'never' || (range.low ?? -Infinity) > (range.high ?? Infinity);
}

/**
 * Whether everyone that `a` finds is found by `b`, as far as their form tells. True is certain; false may mean that it
 * takes more than their form to see (`equivalent` decides). `steps` bounds the work.
 */
export function implies(a: Query, b: Query, under: Under = 'notation', steps = { left: 20_000 }): boolean {
  if (steps.left-- <= 0) return false;
  if (isNever(a)) return true;
  if (a.kind === 'or') return a.parts.every((part) => implies(part, b, under, steps));
  if (b.kind === 'and') return b.parts.every((part) => implies(a, part, under, steps));
  if (a.kind === 'and' && a.parts.some((part) => implies(part, b, under, steps))) return true;
  if (b.kind === 'or' && b.parts.some((part) => implies(a, part, under, steps))) return true;
  if (a.kind === 'not' && b.kind === 'not') return implies(b.part, a.part, under, steps);
  if (!isTerm(a) || !isTerm(b)) return false;
  if (isNumberFact(a.scope) || isNumberFact(b.scope) || a.kind === 'range' || b.kind === 'range') {
    const [inner, outer] = [spanOf(a), spanOf(b)];
    return (
      inner !== null &&
      outer !== null &&
      inner.scope === outer.scope &&
      (inner.low ?? -Infinity) >= (outer.low ?? -Infinity) &&
      (inner.high ?? Infinity) <= (outer.high ?? Infinity)
    );
  }
  return scopeImplies(a.scope, b.scope) && keysImply(wordingOf(a), wordingOf(b), under);
}
