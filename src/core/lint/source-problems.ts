import { equivalent } from '../semantics/equivalent';
import { lex } from '../language/lex';
import { print } from '../language/print';
import type { Problem } from '../language/problem';
import { problemWords } from '../language/problem-words';
import { isTerm, terms, type Query } from '../language/query';
import { isNever } from '../semantics/implies';
import { sequenceOf } from '../semantics/leaf';
import { type Matching } from '../semantics/exact-matching';
import { matchingOf } from '../semantics/matching';
import { isTextScope, type Scope } from '../language/scopes';
import type { ListedScopes } from '../semantics/truth';
import { tokenKeys } from '../language/tokens';
import { readBox } from '../dialect/box-text';
import type { Rendering } from '../dialect/render';
import { rescope } from '../dialect/search';
import { mainBox } from '../dialect/search-text';
import { listedBy, type Sheet } from '../dialect/sheet';
import { offersValue } from '../dialect/offered-values';
import { nearestIndustries } from '../people/industries';

/** Characters up to which two readings are compared. */
const longestCompared = 8000;

/** What is worth saying about a string because of one source: words it drops, limits it has, another way of reading. */
export function sourceProblems(text: string, query: Query, sheet: Sheet, rendering: Rendering): Problem[] {
  const found: Problem[] = [];
  const say = (code: Problem['code'], severity: Problem['severity'], from: number, to: number, message: string) =>
    found.push({ code, severity, from, to, message });

  const { stopWords } = sheet.matching;
  if (stopWords.length)
    for (const { term } of terms(query)) {
      if (term.kind !== 'phrase' || !isTextScope(term.scope) || !term.at || term.set) continue;
      const dropped = tokenKeys(term.text).filter((key) => stopWords.includes(key));
      if (!dropped.length) continue;
      const kept = tokenKeys(term.text).filter((key) => !stopWords.includes(key));
      say('stop-words', 'hint', term.at.from, term.at.to, problemWords['stop-words'].says(sheet.name, dropped, kept));
      break;
    }

  const { limit, searches } = rendering;
  if (limit !== undefined) {
    const { from, to } = largestGroup(query);
    if (searches.length)
      say(
        'over-limit',
        'hint',
        from,
        to,
        searches.length > 1
          ? problemWords['over-limit'].shared(sheet.name, limit, searches.length)
          : problemWords['over-limit'].checked(sheet.name, limit)
      );
    else say('over-limit', 'warning', from, to, problemWords['over-limit'].beyond(sheet.name, limit));
  }

  const unlisted = unlistedPart(rendering.leftover, sheet);
  if (unlisted)
    say(
      'unlisted-fact',
      'hint',
      unlisted.at?.from ?? 0,
      unlisted.at?.to ?? text.length,
      problemWords['unlisted-fact'].says(sheet.name, unlisted.scopes)
    );

  for (const { term, wanted } of terms(query)) {
    if (!wanted || term.kind === 'range' || !term.at) continue;
    const fact = sheet.facts.find(({ scope }) => scope === term.scope);
    if (!fact?.values || offersValue(fact, term)) continue;
    const { label, values } = fact;
    const nearest = fact.scope === 'industry' ? nearestIndustries(term.text, values) : [];
    const says = problemWords['value-not-offered'].says(sheet.name, label ?? fact.scope, term.text, nearest);
    say('value-not-offered', 'warning', term.at.from, term.at.to, says);
    break;
  }

  const other = otherReading(text, query, sheet);
  if (other)
    say(
      'read-otherwise',
      'hint',
      0,
      text.length,
      problemWords['read-otherwise'].says(sheet.name, short(other.there), short(other.here))
    );
  return found;
}

/**
 * How a source, which binds or joins words in its own way, would read the text as it stands once its operators are
 * written as that source writes them; null where that is what the text means here.
 */
export function otherReading(text: string, query: Query, sheet: Sheet): { here: string; there: string } | null {
  const box = mainBox(sheet);
  if (!box || box.scoped || box.or === null || text.length > longestCompared) return null;
  if (box.binding === 'standard' && box.beside === 'and') return null;
  const all = [...terms(query)];
  if (all.length < 2 || all.some(({ term }) => !isTextScope(term.scope) || term.set)) return null;
  const there = readBox(asTyped(text), { ...box, ...ownSigns });
  if (!there) return null;
  const [mine, theirs] = [rescope(query, 'any'), rescope(there, 'any')];
  return equivalent(mine, theirs) === false ? { here: print(mine), there: print(theirs) } : null;
}

const ownSigns = { and: 'AND', or: 'OR', not: 'NOT', phrase: true, group: true, prefix: true } as const;

/** A string without its scopes, each operator as the notation writes it. */
function asTyped(text: string): string {
  const signs = { open: '(', close: ')', and: 'AND', or: 'OR', not: 'NOT', minus: 'NOT' } as const;
  return lex(text)
    .lexemes.map((lexeme) => {
      if (lexeme.kind === 'word') return lexeme.text + (lexeme.prefix ? '*' : '');
      if (lexeme.kind === 'phrase') return `"${lexeme.text}"`;
      return lexeme.kind in signs ? signs[lexeme.kind as keyof typeof signs] : '';
    })
    .join(' ');
}

/**
 * A part left over that nobody can be certain to meet, because of what the source does not tell: each term is put as what
 * it can be at best (found in what is listed, or never certain), and the part is asked whether it can be met at all.
 */
function unlistedPart(leftover: Query | null, sheet: Sheet): { scopes: Scope[]; at: Query['at'] } | null {
  const listed = listedBy(sheet);
  const matching = matchingOf(sheet.matching);
  for (const part of leftover?.kind === 'and' ? leftover.parts : leftover ? [leftover] : []) {
    if (canBeCertain(part, true, listed, matching)) continue;
    const scopes = [...new Set([...terms(part)].map(({ term }) => term.scope).filter((scope) => !listed.has(scope)))];
    // Parts that nobody can ever meet are reported elsewhere.
    if (scopes.length) return { scopes, at: part.at ?? [...terms(part)].find(({ term }) => term.at)?.term.at };
  }
  return null;
}

/** Whether some record of a source can meet a query (or, unwanted, be certain not to). */
function canBeCertain(query: Query, wanted: boolean, listed: ListedScopes, matching: Matching): boolean {
  if (query.kind === 'not') return canBeCertain(query.part, !wanted, listed, matching);
  if (query.kind === 'and' || query.kind === 'or') {
    const every = (query.kind === 'and') === wanted;
    const parts = query.parts.map((part) => canBeCertain(part, wanted, listed, matching));
    return every ? !parts.includes(false) : parts.includes(true);
  }
  if (isNever(query)) return !wanted;
  const isText = isTextScope(query.scope);
  if (query.kind !== 'range' && isText && !sequenceOf(query, matching).keys.length) return !wanted;
  if (listed.has(query.scope)) return true;
  // A text that is not listed may hold the words where they are seen; that they are nowhere is never certain.
  return isText && wanted && query.scope === 'any';
}

/** Where the largest group stands: what a limit is mostly filled by. */
function largestGroup(query: Query): { from: number; to: number } {
  let best = { from: query.at?.from ?? 0, to: query.at?.to ?? 0 };
  let most = 0;
  const walk = (part: Query) => {
    if (isTerm(part)) return;
    if (part.kind === 'not') return walk(part.part);
    const own = part.parts.filter(isTerm).length;
    if (own > most && part.at) [most, best] = [own, { from: part.at.from, to: part.at.to }];
    part.parts.forEach(walk);
  };
  walk(query);
  return best;
}

const short = (text: string) => (text.length > 160 ? `${text.slice(0, 160)}…` : text);
