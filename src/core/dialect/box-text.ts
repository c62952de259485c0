import { limits } from '../language/limits';
import { print } from '../language/print';
import { isTerm, join, type Query, type Term } from '../language/query';
import { parse } from '../language/parse';
import { keysOf } from '../language/tokens';
import type { Box } from './sheet';
import { checkpoint } from '../language/checkpoint';

/** How the members of a group are joined in a box; null where they cannot be. */
export function joiner(kind: 'and' | 'or', box: Box): string | null {
  const sign = box[kind];
  if (sign) return sign === ',' || sign === ';' ? `${sign} ` : ` ${sign} `;
  return box.beside === kind ? ' ' : null;
}

/**
 * Whether a group of one kind can stand, without brackets of its own, among the members of a group of the other kind.
 * `left-to-right` lets one such member be read first.
 */
export const standsBare = (inner: 'and' | 'or', box: Box): boolean =>
  box.binding === (inner === 'and' ? 'standard' : 'or-first');

/**
 * Writes a query, whose terms all have the box's scope, as the box's source writes; null where it cannot be said.
 * `readBox` reads it back.
 */
export function writeBox(query: Query, box: Box): string | null {
  if (box.scoped) return print(query);
  const text = write(withoutHusks(query), box, 'open');
  return text && box.opening ? `${box.opening} ${text}` : text;
}

/** Without groups of a single part, which would hide what is in them. */
const withoutHusks = (query: Query): Query =>
  isTerm(query)
    ? query
    : query.kind === 'not'
      ? { ...query, part: withoutHusks(query.part) }
      : join(query.kind, query.parts.map(withoutHusks));

function write(query: Query, box: Box, around: 'open' | 'and' | 'or' | 'not'): string | null {
  if (isTerm(query)) return writeTerm(query, box, around);
  if (query.kind === 'not') {
    if (!box.not) return null;
    const text = write(query.part, box, 'not');
    return text && (box.not === 'NOT' ? `NOT ${text}` : box.not + text);
  }
  const group = join(query.kind, query.parts);
  if (group.kind !== query.kind) return write(group, box, around);
  const bare = around === 'open' || around === group.kind;
  if (!bare && !box.group) {
    const first = box.binding === 'left-to-right' && around !== 'not';
    if (around === 'not' || !(standsBare(group.kind, box) || first)) return null;
  }
  const parts = ordered(group.kind === 'and' ? gathered(group.parts, box) : group.parts, group.kind, box);
  const between = joiner(group.kind, box);
  if (!parts || between === null) return null;
  let text = '';
  for (const part of parts) {
    const written = write(part, box, group.kind);
    if (written === null) return null;
    // A sign that means "and" may be left out before an exclusion, where words side by side mean it anyway.
    const gap = part.kind === 'not' && group.kind === 'and' && box.beside === 'and' ? ' ' : between;
    text += text ? gap + written : written;
  }
  return bare || !box.group ? text : `(${text})`;
}

/** Exclusions side by side as one, where the box knows groups: `NOT (a OR b)`. */
function gathered(parts: readonly Query[], box: Box): readonly Query[] {
  const excluded = parts.flatMap((part) => (part.kind === 'not' && isTerm(part.part) ? [part.part] : []));
  if (box.not !== 'NOT' || !box.group || joiner('or', box) === null || excluded.length < 2) return parts;
  const others = parts.filter((part) => part.kind !== 'not' || !isTerm(part.part));
  return [...others, { kind: 'not', part: join('or', excluded) }];
}

/** Members in an order in which they are read right: read left to right without brackets, a group must come first. */
function ordered(parts: readonly Query[], kind: 'and' | 'or', box: Box): readonly Query[] | null {
  if (box.group || box.binding !== 'left-to-right') return parts;
  const groups = parts.filter((part) => part.kind === (kind === 'and' ? 'or' : 'and') && part.parts.length > 1);
  if (groups.length > 1) return null;
  return groups.length ? [groups[0]!, ...parts.filter((part) => part !== groups[0])] : parts;
}

function writeTerm(term: Term, box: Box, around: 'open' | 'and' | 'or' | 'not'): string | null {
  if (term.kind === 'range') return null;
  if (term.kind === 'word') {
    const text = term.prefix ? `${term.text}*` : term.text;
    return (!term.prefix || box.prefix) && isPlain(term, box) ? text : null;
  }
  if (box.phrase) return `"${term.text.replaceAll(/["\s]+/g, ' ').trim()}"`;
  if (box.beside !== 'phrase' || around === 'not') return null;
  const keys = keysOf(term.text);
  const words = keys.map((text) => ({ kind: 'word' as const, scope: term.scope, text }));
  return keys.length > 1 && words.every((word) => isPlain(word, box)) ? keys.join(' ') : null;
}

/** What is one word in every text box. */
const plainWord = /^[A-Za-z0-9]+$/;

/** Whether a word can stand without quotes in the box and be read as itself. */
export function isPlain(term: Term & { kind: 'word' }, box: Box): boolean {
  if (!plainWord.test(term.text) && keysOf(term.text).length !== 1) return false;
  if (plainWord.test(term.text)) return term.text !== box.and && term.text !== box.or && term.text !== box.not;
  const [only, ...more] = lexBox(term.prefix ? `${term.text}*` : term.text, box);
  return only?.kind === 'word' && !more.length && only.text === term.text && only.prefix === (term.prefix ?? false);
}

/** What ends a word: white space, brackets, quotes, and signs that stand between words. */
const endings = new Set(' \t\n\r\f\v\u00a0\u2028\u2029()"|,;');

type BoxLexeme =
  | { kind: 'open' | 'close' | 'and' | 'or' | 'not' }
  | { kind: 'word'; text: string; prefix: boolean }
  | { kind: 'phrase'; text: string };

/** Cuts a text as the source's box does. Takes anything; linear in the text. */
export function lexBox(text: string, box: Box): BoxLexeme[] {
  const lexemes: BoxLexeme[] = [];
  let at = 0;
  const size = text.length;
  const ends = (c: string) => endings.has(c);
  while (at < size) {
    const c = text[at]!;
    if (c === '"') {
      const close = text.indexOf('"', at + 1);
      const inside = text.slice(at + 1, close < 0 ? size : close);
      at = close < 0 ? size : close + 1;
      if (box.phrase) {
        if (keysOf(inside).length) lexemes.push({ kind: 'phrase', text: inside });
      } else words(inside);
    } else if (c === '(' || c === ')') {
      if (box.group) lexemes.push({ kind: c === '(' ? 'open' : 'close' });
      at++;
    } else if (ends(c)) {
      if (c === box.or) lexemes.push({ kind: 'or' });
      at++;
    } else if ((c === '-' || c === '!') && c === box.not && at + 1 < size && !/\s/.test(text[at + 1]!)) {
      lexemes.push({ kind: 'not' });
      at++;
    } else {
      const from = at;
      while (at < size && !ends(text[at]!)) at++;
      words(text.slice(from, at));
    }
  }
  return lexemes;

  function words(piece: string) {
    for (const raw of piece.split(/\s+/)) {
      if (raw === box.and) lexemes.push({ kind: 'and' });
      else if (raw === box.or) lexemes.push({ kind: 'or' });
      else if (raw === 'NOT' && box.not === 'NOT') lexemes.push({ kind: 'not' });
      else {
        const keys = keysOf(raw);
        const prefix = box.prefix && raw.endsWith('*');
        if (!keys.length) continue;
        if (keys.length === 1) lexemes.push({ kind: 'word', text: raw.replaceAll('*', ''), prefix });
        else if (box.phrase) lexemes.push({ kind: 'phrase', text: raw });
        else for (const key of keys) lexemes.push({ kind: 'word', text: key, prefix: false });
      }
    }
  }
}

interface Operand {
  query: Query;
  /** A word or a run of words without quotes, which another word beside it may go on. */
  run: string[] | null;
}

/** Reads a box's text by the source's own rules. Takes anything; null where nothing is asked. */
export function readBox(text: string, box: Box): Query | null {
  if (box.scoped) return parse(text).query;
  const lexemes = lexBox(box.opening && text.startsWith(box.opening) ? text.slice(box.opening.length) : text, box);
  let at = 0;
  return sequence(0);

  function sequence(level: number): Query | null {
    const operands: Operand[] = [];
    const signs: ('and' | 'or')[] = [];
    let sign: 'and' | 'or' | null = null;
    let negated = false;
    for (; at < lexemes.length; at++) {
      checkpoint();
      const lexeme = lexemes[at]!;
      if (lexeme.kind === 'close') {
        if (level > 0) break;
        continue;
      }
      if (lexeme.kind === 'and' || lexeme.kind === 'or') {
        sign = lexeme.kind;
        continue;
      }
      if (lexeme.kind === 'not') {
        negated = !negated;
        continue;
      }
      const operand = read(lexeme, level);
      if (!operand) continue;
      const last = operands.at(-1);
      if (box.beside === 'phrase' && !sign && !negated && last?.run && operand.run) {
        last.run.push(...operand.run);
        last.query = { kind: 'phrase', scope: box.searches, text: last.run.join(' ') };
        continue;
      }
      if (last) signs.push(sign ?? (box.beside === 'or' ? 'or' : 'and'));
      operands.push(negated ? { query: { kind: 'not', part: operand.query }, run: null } : operand);
      sign = null;
      negated = false;
    }
    return bind(
      operands.map(({ query }) => query),
      signs
    );
  }

  function read(lexeme: BoxLexeme, level: number): Operand | null {
    if (lexeme.kind === 'open') {
      if (level >= limits.levels) return null;
      at++;
      const query = sequence(level + 1);
      return query && { query, run: null };
    }
    const scope = box.searches;
    if (lexeme.kind === 'phrase') return { query: { kind: 'phrase', scope, text: lexeme.text }, run: null };
    const { text, prefix } = lexeme as BoxLexeme & { kind: 'word' };
    return {
      query: { kind: 'word', scope, text, ...(prefix && { prefix }) },
      run: prefix ? null : [text]
    };
  }

  function bind(operands: Query[], signs: ('and' | 'or')[]): Query | null {
    if (!operands.length) return null;
    if (box.binding === 'left-to-right') {
      let query = operands[0]!;
      signs.forEach((sign, i) => {
        if (query.kind === sign) query.parts.push(operands[i + 1]!);
        else query = { kind: sign, parts: [query, operands[i + 1]!] };
      });
      return query;
    }
    const loose = box.binding === 'standard' ? 'or' : 'and';
    const runs: Query[][] = [[operands[0]!]];
    signs.forEach((sign, i) => {
      if (sign === loose) runs.push([operands[i + 1]!]);
      else runs.at(-1)!.push(operands[i + 1]!);
    });
    return join(
      loose,
      runs.map((run) => join(loose === 'or' ? 'and' : 'or', run))
    );
  }
}
