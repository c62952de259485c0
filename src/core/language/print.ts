import { lex } from './lex';
import { writeDay } from './days';
import { writeNumber } from './numbers';
import { isTerm, type Query, type Term } from './query';
import { isOwnScope, type Scope } from './scopes';
import { tokenKeys } from './tokens';

/** Writes a query in the notation, on one line. `parse(print(q)).query` means the same as `q`. */
export function print(query: Query): string {
  return write(query, 'any', 'open');
}

/** What stands around a part: nothing, the members of an AND or an OR, or a NOT that holds for one part only. */
type Around = 'open' | 'and' | 'or' | 'not';

function write(query: Query, scope: Scope, around: Around): string {
  if (isTerm(query)) return writeTerm(query, scope);
  if (query.kind === 'not') {
    const text = `NOT ${write(query.part, scope, 'not')}`;
    return around === 'not' ? `(${text})` : text;
  }
  if (query.parts.length === 1) return write(query.parts[0]!, scope, around);
  const common = commonScope(query);
  if (common && common !== scope) return `${common}:(${write(query, common, 'open')})`;
  const text =
    query.kind === 'and'
      ? writeAnd(query.parts, scope)
      : query.parts.map((part) => write(part, scope, 'or')).join(' OR ');
  return around === 'open' || around === query.kind ? text : `(${text})`;
}

function writeAnd(parts: readonly Query[], scope: Scope): string {
  return parts
    .map((part) => write(part, scope, 'and'))
    .reduce((text, part) => `${text} ${part.startsWith('NOT ') ? part : `AND ${part}`}`);
}

/** The scope that all terms share, where it is not `any`. */
function commonScope(query: Query): Scope | null {
  if (isTerm(query)) return query.scope === 'any' ? null : query.scope;
  const inner = query.kind === 'not' ? [query.part] : query.parts;
  const first = commonScope(inner[0]!);
  return first && inner.every((part) => commonScope(part) === first) ? first : null;
}

/** Writes a term, with its scope where that is another than the one around it. */
export function writeTerm(term: Term, scope: Scope): string {
  const prefix = term.scope === scope ? '' : `${term.scope}:`;
  if (term.kind === 'range') return `${prefix}[${bound(term.low, term.scope)} TO ${bound(term.high, term.scope)}]`;
  if (term.kind === 'phrase') return `${prefix}${quoted(term.text)}`;
  return prefix + writeWord(term.text, term.prefix === true);
}

/** A bound as it is typed; of a field of one's own, a day as a date. */
const bound = (value: number | null, scope: Scope): string =>
  value === null ? '*' : (isOwnScope(scope) && writeDay(value)) || writeNumber(value);

/** Words between plain quotes. */
export function quoted(text: string): string {
  return `"${text
    .replaceAll(/["“”„‟«»″]/g, ' ')
    .replaceAll(/\s+/g, ' ')
    .trim()}"`;
}

function writeWord(text: string, prefix: boolean): string {
  const plain = prefix ? `${text}*` : text;
  const { lexemes, problems } = lex(plain);
  const [lexeme] = lexemes;
  if (
    lexemes.length === 1 &&
    !problems.length &&
    lexeme!.kind === 'word' &&
    lexeme!.text === text &&
    lexeme!.prefix === prefix
  )
    return plain;
  if (!prefix) return quoted(text);
  return `${tokenKeys(text).join('-')}*`;
}
