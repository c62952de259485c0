import { equivalent } from '../query/equivalent';
import { lex } from '../query/lex';
import { print } from '../query/print';
import type { Problem } from '../query/problem';
import { isTerm, terms, type Query, type Term } from '../query/query';
import { isTextScope } from '../query/scopes';
import { tokenKeys } from '../query/tokens';
import { readBox } from './box-text';
import type { Rendering } from './render';
import { rescope } from './search';
import { mainBox } from './search-text';
import type { Sheet } from './sheet';

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
      say(
        'stop-words',
        'hint',
        term.at.from,
        term.at.to,
        kept.length
          ? `${sheet.name} drops ${list(dropped)} inside quotes: it also finds “${kept.join(' ')}”.`
          : `${sheet.name} drops ${list(dropped)} inside quotes, so nothing is left to find.`
      );
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
        `${sheet.name} takes ${limit}: this string is shared out to ${searches.length} searches.`
      );
    else
      say(
        'over-limit',
        'warning',
        from,
        to,
        `${sheet.name} takes ${limit}, which this string goes beyond. Shorten it.`
      );
  }

  const untold = untoldFact(rendering.leftover, sheet);
  if (untold)
    say(
      'untold-fact',
      'hint',
      untold.at?.from ?? 0,
      untold.at?.to ?? text.length,
      `${sheet.name} tells nobody’s ${untold.scope}, so nobody there meets that part. Leave it out for ${sheet.name}, and judge it person by person.`
    );

  const other = otherReading(text, query, sheet);
  if (other)
    say(
      'read-otherwise',
      'hint',
      0,
      text.length,
      `${sheet.name} would read this as ${short(other.there)}; here it means ${short(other.here)}. Its card has it written so that it is read right.`
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

/** A fact in a left-over part that holds for nobody, because the source tells no such fact of anybody. */
function untoldFact(leftover: Query | null, sheet: Sheet): Term | null {
  const isUntold = ({ scope }: Term) =>
    !isTextScope(scope) && !sheet.tells.includes(scope) && !sheet.facts.some((fact) => fact.scope === scope);
  for (const part of leftover?.kind === 'and' ? leftover.parts : leftover ? [leftover] : []) {
    const wanted = [...terms(part)].filter((one) => one.wanted).map(({ term }) => term);
    if (wanted.length && part.kind !== 'not' && wanted.every(isUntold)) return wanted[0]!;
  }
  return null;
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

const list = (words: readonly string[]) => [...new Set(words)].map((word) => `“${word}”`).join(', ');
const short = (text: string) => (text.length > 160 ? `${text.slice(0, 160)}…` : text);
