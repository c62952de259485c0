import { readBounds, readNumber, writeNumber } from './numbers';
import { shortestPrefix } from './limits';
import { cutOut, type Edit, type Problem } from './problem';
import { isNumberFact, isScope, type Scope } from './scopes';
import { tokenKeys } from './tokens';

interface At {
  from: number;
  to: number;
}
export type Lexeme = At &
  (
    | { kind: 'open' | 'close' | 'and' | 'or' | 'not' | 'minus' }
    /** Something that was meant to be a term and cannot be read as one; its problem is told already. */
    | { kind: 'gap' }
    | { kind: 'scope'; scope: Scope | null }
    | { kind: 'word'; text: string; prefix: boolean }
    | { kind: 'phrase'; text: string }
    | { kind: 'range'; low: number | null; high: number | null }
    /** A named word set, `@quality-heads`, by its name in lower case. */
    | { kind: 'set'; name: string }
  );

const space = /[\s\p{Cc}\p{Cf}]/u;
const hidden = /[\p{Cc}\p{Cf}]/u;
const ordinarySpace = /\s/;
const curly = /[“”„‟«»″]/;
const quote = /["“”„‟«»″]/;
const ends = /[\s\p{Cc}\p{Cf}()[\]"“”„‟«»″]/u;
const written = ({ low, high }: { low: number | null; high: number | null }): string =>
  `[${[low, high].map((one) => (one === null ? '*' : writeNumber(one))).join(' TO ')}]`;
/** How a named word set is written. */
const setName = /^@([\p{L}\p{N}][\p{L}\p{N}_-]*)$/u;
const foreign = new Map<string, 'and' | 'or' | 'not'>([
  ['&&', 'and'],
  ['||', 'or'],
  ['!', 'not']
]);

/** A part set aside for a moment, `/* … *\/`: it stays in the text and means nothing. */
export interface Muted extends At {
  /** What stands between the marks. */
  text: string;
}

/** Cuts a string into lexemes, saying what cannot be read. Never throws; linear in the text. */
export function lex(text: string): { lexemes: Lexeme[]; muted: Muted[]; problems: Problem[] } {
  const lexemes: Lexeme[] = [];
  const muted: Muted[] = [];
  const problems: Problem[] = [];
  const size = text.length;
  let at = 0;

  const charAt = (i: number) => {
    const code = text.codePointAt(i);
    return code === undefined ? '' : String.fromCodePoint(code);
  };

  while (at < size) {
    const here = charAt(at);
    if (space.test(here)) {
      if (hidden.test(here) && !ordinarySpace.test(here)) {
        const from = at;
        while (at < size && hidden.test(charAt(at)) && !ordinarySpace.test(charAt(at))) at += charAt(at).length;
        problems.push({
          code: 'hidden-character',
          severity: 'hint',
          from,
          to: at,
          message: 'A character that cannot be seen stands here; it is read as a space.',
          fix: { label: 'Replace it with a space', edits: [{ from, to: at, insert: ' ' }] }
        });
      } else at += here.length;
    } else if (here === '/' && text[at + 1] === '*') mute();
    else if (here === '(' || here === ')') {
      lexemes.push({ kind: here === '(' ? 'open' : 'close', from: at, to: at + 1 });
      at++;
    } else if (quote.test(here)) phrase();
    else if (here === '[') range();
    else if (here === ']') {
      problems.push({
        code: 'bad-range',
        severity: 'error',
        from: at,
        to: at + 1,
        message: 'This ] closes nothing. A range is written [51 TO 1000].',
        fix: { label: 'Take it out', edits: [{ from: at, to: at + 1, insert: '' }] }
      });
      at++;
    } else if (isNegative()) word();
    else if (/[-–—−]/.test(here) && at + 1 < size && !space.test(charAt(at + 1))) {
      if (here !== '-')
        problems.push({
          code: 'long-dash',
          severity: 'warning',
          from: at,
          to: at + 1,
          message: 'A long dash from a document is read as a minus sign: what follows is excluded.',
          fix: { label: 'Write a plain -', edits: [{ from: at, to: at + 1, insert: '-' }] }
        });
      lexemes.push({ kind: 'minus', from: at, to: at + 1 });
      at++;
    } else if (here === '!' && at + 1 < size && !space.test(charAt(at + 1)) && charAt(at + 1) !== '!') {
      problems.push({
        code: 'foreign-operator',
        severity: 'warning',
        from: at,
        to: at + 1,
        message: '“!” is read as NOT; write the word, which every reader knows.',
        fix: { label: 'Write NOT', edits: [{ from: at, to: at + 1, insert: 'NOT ' }] }
      });
      lexemes.push({ kind: 'minus', from: at, to: at + 1 });
      at++;
    } else word();
  }
  return { lexemes, muted, problems };

  /** A minus between a fact that is a number and a digit belongs to the number: `growth:-5`. */
  function isNegative(): boolean {
    const before = lexemes.at(-1);
    return (
      text[at] === '-' &&
      /\d/.test(text[at + 1] ?? '') &&
      before?.kind === 'scope' &&
      before.to === at &&
      before.scope !== null &&
      isNumberFact(before.scope)
    );
  }

  function mute() {
    const from = at;
    const end = text.indexOf('*/', from + 2);
    at = end < 0 ? size : end + 2;
    muted.push({ from, to: at, text: text.slice(from + 2, end < 0 ? size : end).trim() });
    if (end < 0)
      problems.push({
        code: 'unclosed-muted',
        severity: 'error',
        from,
        to: size,
        message: 'This part is set aside and never ends. Write */ where it ends.',
        fix: { label: 'End it here', edits: [{ from: size, to: size, insert: ' */' }] }
      });
  }

  function phrase() {
    const from = at;
    let end = from + 1;
    while (end < size && !quote.test(text[end]!)) end++;
    const closed = end < size;
    const inside = text.slice(from + 1, end);
    at = closed ? end + 1 : size;
    if (!closed)
      problems.push({
        code: 'unclosed-quote',
        severity: 'error',
        from,
        to: size,
        message: 'This quote is never closed. Add a " where the phrase ends.',
        fix: { label: 'Close it at the end', edits: [{ from: size, to: size, insert: '"' }] }
      });
    if (curly.test(text[from]!) || (closed && curly.test(text[end]!)))
      problems.push({
        code: 'curly-quotes',
        severity: 'warning',
        from,
        to: at,
        message:
          'Curly quotes come from a document; many sources do not read them. They are read as plain quotes here.',
        fix: { label: 'Write plain quotes', edits: [{ from, to: at, insert: `"${inside}"` }] }
      });
    if (tokenKeys(inside).length === 0) {
      if (closed)
        problems.push({
          code: 'empty-phrase',
          severity: 'error',
          from,
          to: at,
          message: 'Nothing to find stands between these quotes. Write words there or take them out.',
          fix: { label: 'Take them out', edits: [cutOut(text, { from, to: at })] }
        });
      lexemes.push({ kind: 'gap', from, to: at });
      return;
    }
    const star = inside.indexOf('*');
    if (star >= 0) {
      const all: Edit[] = [...inside.matchAll(/\*/g)].map(({ index }) => ({
        from: from + 1 + index,
        to: from + 2 + index,
        insert: ''
      }));
      problems.push({
        code: 'wildcard-in-phrase',
        severity: 'warning',
        from: from + 1 + star,
        to: from + 2 + star,
        message: 'A * inside quotes is not a wildcard; it is ignored.',
        fix: { label: all.length > 1 ? 'Take them out' : 'Take it out', edits: all }
      });
    }
    lexemes.push({ kind: 'phrase', text: inside, from, to: at });
  }

  function range() {
    const from = at;
    const close = text.indexOf(']', from);
    const open = text.slice(from + 1).search(/[[()"]/);
    const inside = close >= 0 && (open < 0 || from + 1 + open > close) ? text.slice(from + 1, close) : null;
    if (inside === null) {
      at = from + 1;
      problems.push({
        code: 'unclosed-bracket',
        severity: 'error',
        from,
        to: from + 1,
        message: 'This [ is never closed. A range is written [51 TO 1000].'
      });
      lexemes.push({ kind: 'gap', from, to: at });
      return;
    }
    at = close + 1;
    let bounds = inside.trim().split(/\s+TO\s+/);
    if (bounds.length !== 2) {
      const read = readBounds(inside.trim().replace(/\s+to\s+/i, '-'));
      problems.push({
        code: 'bad-range',
        severity: read ? 'warning' : 'error',
        from,
        to: at,
        message: read
          ? `A range is written with TO between its bounds: this is read as ${written(read)}.`
          : 'A range has two bounds with TO between them, as in [51 TO 1000] or [51 TO *].',
        ...(read && { fix: { label: `Write ${written(read)}`, edits: [{ from, to: at, insert: written(read) }] } })
      });
      if (!read) {
        lexemes.push({ kind: 'gap', from, to: at });
        return;
      }
      bounds = [read.low, read.high].map((one) => (one === null ? '*' : writeNumber(one)));
    }
    const numbers = bounds.map((one) => (one === '*' ? null : readNumber(one)));
    const values = bounds.map((one, i) => (one === '*' ? null : (numbers[i]?.value ?? NaN)));
    const wrong = bounds.find((_, i) => Number.isNaN(values[i]));
    if (wrong !== undefined) {
      problems.push({
        code: 'bad-range',
        severity: 'error',
        from,
        to: at,
        message: `“${wrong.slice(0, 40)}” is not a number. Write digits, as in [51 TO 1000], or * for no bound.`
      });
      lexemes.push({ kind: 'gap', from, to: at });
      return;
    }
    if (numbers.some((one) => one?.thousands)) {
      const insert = written({ low: values[0]!, high: values[1]! });
      problems.push({
        code: 'bad-range',
        severity: 'hint',
        from,
        to: at,
        message: `Signs between thousands are left out: this is read as ${insert}.`,
        fix: { label: `Write ${insert}`, edits: [{ from, to: at, insert }] }
      });
    }
    const [low, high] = values as [number | null, number | null];
    if (low !== null && high !== null && low > high)
      problems.push({
        code: 'bad-range',
        severity: 'warning',
        from,
        to: at,
        message: `Nothing lies between ${low} and ${high}: the lower bound comes first.`,
        fix: { label: 'Swap them', edits: [{ from, to: at, insert: written({ low: high, high: low }) }] }
      });
    lexemes.push({ kind: 'range', low, high, from, to: at });
  }

  /** Whether an operator would stand between two parts here (one that excludes: before one). */
  function hasSomethingToJoin(before: boolean, end: number): boolean {
    const last = lexemes.at(-1);
    if (before && (!last || !['word', 'phrase', 'range', 'set', 'close'].includes(last.kind))) return false;
    return /^[\s\p{Cc}\p{Cf}]*(?!(?:and|or|not|AND|OR)(?:[\s)]|$))[^\s)\]]/u.test(text.slice(end, end + 200));
  }

  function word() {
    const from = at;
    let end = from;
    while (end < size) {
      const c = charAt(end);
      if (ends.test(c)) break;
      end += c.length;
      if (c === ':' && /^[A-Za-z]+:$/.test(text.slice(from, end))) break;
    }
    const raw = text.slice(from, end);
    at = end;
    if (/^[A-Za-z]+:$/.test(raw)) {
      const name = raw.slice(0, -1).toLowerCase();
      if (!isScope(name))
        problems.push({
          code: 'unknown-scope',
          severity: 'error',
          from,
          to: end,
          message: `There is no scope “${raw.slice(0, -1)}”. Known are title, company, about, country, headcount and others; quote the words if the colon belongs to them.`,
          fix: { label: 'Search the whole profile', edits: [{ from, to: end, insert: '' }] }
        });
      lexemes.push({ kind: 'scope', scope: isScope(name) ? name : null, from, to: end });
      return;
    }
    if (raw === 'AND' || raw === 'OR' || raw === 'NOT') {
      lexemes.push({ kind: raw.toLowerCase() as 'and' | 'or' | 'not', from, to: end });
      return;
    }
    const operator = foreign.get(raw);
    if (operator) {
      problems.push({
        code: 'foreign-operator',
        severity: 'warning',
        from,
        to: end,
        message: `“${raw}” is read as ${operator.toUpperCase()}; write the word, which every reader knows.`,
        fix: { label: `Write ${operator.toUpperCase()}`, edits: [{ from, to: end, insert: operator.toUpperCase() }] }
      });
      lexemes.push({ kind: operator, from, to: end });
      return;
    }
    if (/^(and|or|not)$/i.test(raw)) {
      const joins = hasSomethingToJoin(raw.toLowerCase() !== 'not', end);
      problems.push({
        code: 'lower-case-operator',
        severity: 'warning',
        from,
        to: end,
        message: `“${raw}” is read as a word to find. Operators are written in capitals.`,
        fix: joins
          ? { label: `Write ${raw.toUpperCase()}`, edits: [{ from, to: end, insert: raw.toUpperCase() }] }
          : { label: 'Take it out', edits: [cutOut(text, { from, to: end })] }
      });
    }
    const set = setName.exec(raw);
    if (set) {
      lexemes.push({ kind: 'set', name: set[1]!.toLowerCase(), from, to: end });
      return;
    }
    const keys = tokenKeys(raw);
    if (keys.length === 0) {
      problems.push({
        code: 'stray-sign',
        severity: 'warning',
        from,
        to: end,
        message: `“${raw.slice(0, 20)}” has no letter or digit, so nothing can be found by it; it is left out.`,
        fix: { label: 'Take it out', edits: [cutOut(text, { from, to: end })] }
      });
      return;
    }
    const star = raw.indexOf('*');
    const stem = raw.replaceAll('*', '');
    const last = star >= 0 && star === raw.length - 1;
    if (star >= 0 && !last)
      problems.push({
        code: 'misplaced-wildcard',
        severity: 'warning',
        from: from + star,
        to: from + star + 1,
        message: 'A * works only at the end of a word; here it is ignored.',
        fix: { label: 'Take it out', edits: [{ from, to: end, insert: stem }] }
      });
    const short = last && keys.at(-1)!.length < shortestPrefix;
    if (short)
      problems.push({
        code: 'short-wildcard',
        severity: 'warning',
        from,
        to: end,
        message: `A * needs three letters or more before it; “${raw}” would find almost anyone. It is read without the *.`,
        fix: { label: 'Take the * out', edits: [{ from, to: end, insert: stem }] }
      });
    lexemes.push({ kind: 'word', text: stem, prefix: last && !short, from, to: end });
  }
}
