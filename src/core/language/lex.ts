import { readBounds, readNumber, writeNumber } from './numbers';
import { shortestPrefix } from './limits';
import { cutOut, type Edit, type Problem } from './problem';
import { problemWords as words } from './problem-words';
import { readDay } from './days';
import { isScope, takesRange, type Scope } from './scopes';
import { tokenKeys } from './tokens';

interface At {
  from: number;
  to: number;
}
export type Lexeme = At &
  (
    | { kind: 'open' | 'close' | 'and' | 'or' | 'not' | 'minus' }
    /** Something that was meant to be a term and cannot be read as one; its problem has been reported. */
    | { kind: 'gap' }
    | { kind: 'scope'; scope: Scope | null }
    | { kind: 'word'; text: string; prefix: boolean }
    | { kind: 'phrase'; text: string }
    | { kind: 'range'; low: number | null; high: number | null; days?: boolean }
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
/** A scope as typed; anything that starts with `own.` is meant as one. */
const scopeName = /^(?:[A-Za-z]+|own\.[^\s:()"[\]]{0,80}):$/i;
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
  /** Brackets that are open. */
  let depth = 0;

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
          message: words['hidden-character'].says,
          fix: { label: words['hidden-character'].fix, edits: [{ from, to: at, insert: ' ' }] }
        });
      } else at += here.length;
    } else if (here === '/' && text[at + 1] === '*') mute();
    else if (here === '(' || here === ')') {
      lexemes.push({ kind: here === '(' ? 'open' : 'close', from: at, to: at + 1 });
      depth = Math.max(0, depth + (here === '(' ? 1 : -1));
      at++;
    } else if (isListSign(here, at)) list();
    else if (quote.test(here)) phrase();
    else if (here === '[') range();
    else if (here === ']') {
      problems.push({
        code: 'bad-range',
        severity: 'error',
        from: at,
        to: at + 1,
        message: words['bad-range'].closesNothing,
        fix: { label: words['bad-range'].fixOut, edits: [{ from: at, to: at + 1, insert: '' }] }
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
          message: words['long-dash'].says,
          fix: { label: words['long-dash'].fix, edits: [{ from: at, to: at + 1, insert: '-' }] }
        });
      lexemes.push({ kind: 'minus', from: at, to: at + 1 });
      at++;
    } else if (here === '!' && at + 1 < size && !space.test(charAt(at + 1)) && charAt(at + 1) !== '!') {
      problems.push({
        code: 'foreign-operator',
        severity: 'warning',
        from: at,
        to: at + 1,
        message: words['foreign-operator'].says('!', 'NOT'),
        fix: { label: words['foreign-operator'].fix('NOT'), edits: [{ from: at, to: at + 1, insert: 'NOT ' }] }
      });
      lexemes.push({ kind: 'minus', from: at, to: at + 1 });
      at++;
    } else word();
  }
  return { lexemes, muted, problems };

  /** A comma or semicolon between the alternatives of a group, and not one between thousands. */
  function isListSign(sign: string, i: number): boolean {
    return (
      (sign === ',' || sign === ';') && depth > 0 && !(/\d/.test(text[i - 1] ?? '') && /\d/.test(text[i + 1] ?? ''))
    );
  }

  function list() {
    const [from, to] = [at, at + 1];
    at = to;
    const joins = hasSomethingToJoin(true, to);
    problems.push({
      code: joins ? 'foreign-operator' : 'stray-sign',
      severity: 'warning',
      from,
      to,
      message: joins ? words['foreign-operator'].comma(text[from]!) : words['stray-sign'].says(text[from]!),
      fix: joins
        ? {
            label: words['foreign-operator'].fix('OR'),
            edits: [
              {
                from,
                to,
                insert: `${/\s/.test(text[from - 1] ?? '') ? '' : ' '}OR${/\s/.test(text[to] ?? '') ? '' : ' '}`
              }
            ]
          }
        : { label: words['stray-sign'].fix, edits: [cutOut(text, { from, to })] }
    });
    if (joins) lexemes.push({ kind: 'or', from, to });
  }

  /** A minus between a fact that is a number and a digit belongs to the number: `growth:-5`. */
  function isNegative(): boolean {
    const before = lexemes.at(-1);
    return (
      text[at] === '-' &&
      /\d/.test(text[at + 1] ?? '') &&
      before?.kind === 'scope' &&
      before.to === at &&
      before.scope !== null &&
      takesRange(before.scope)
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
        message: words['unclosed-muted'].says,
        fix: { label: words['unclosed-muted'].fix, edits: [{ from: size, to: size, insert: ' */' }] }
      });
  }

  function phrase() {
    const from = at;
    let end = from + 1;
    while (end < size && !quote.test(text[end]!)) end++;
    const closed = end < size;
    const inside = text.slice(from + 1, end);
    const plain = inside.replaceAll('*', '');
    at = closed ? end + 1 : size;
    if (!closed)
      problems.push({
        code: 'unclosed-quote',
        severity: 'error',
        from,
        to: size,
        message: words['unclosed-quote'].says,
        fix: { label: words['unclosed-quote'].fix, edits: [{ from: size, to: size, insert: '"' }] }
      });
    if (curly.test(text[from]!) || (closed && curly.test(text[end]!)))
      problems.push({
        code: 'curly-quotes',
        severity: 'warning',
        from,
        to: at,
        message: words['curly-quotes'].says,
        fix: { label: words['curly-quotes'].fix, edits: [{ from, to: at, insert: `"${inside}"` }] }
      });
    if (tokenKeys(plain).length === 0) {
      if (closed)
        problems.push({
          code: 'empty-phrase',
          severity: 'error',
          from,
          to: at,
          message: words['empty-phrase'].says,
          fix: { label: words['empty-phrase'].fix, edits: [cutOut(text, { from, to: at })] }
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
        message: words['wildcard-in-phrase'].says,
        fix: { label: words['wildcard-in-phrase'].fix(all.length > 1), edits: all }
      });
    }
    lexemes.push({ kind: 'phrase', text: plain, from, to: at });
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
        message: words['unclosed-bracket'].ofRange
      });
      lexemes.push({ kind: 'gap', from, to: at });
      return;
    }
    at = close + 1;
    let bounds = inside.trim().split(/\s{1,40}TO\s{1,40}/);
    if (bounds.length !== 2) {
      const read = readBounds(inside.trim().replace(/\s{1,40}to\s{1,40}/i, '-'));
      problems.push({
        code: 'bad-range',
        severity: read ? 'warning' : 'error',
        from,
        to: at,
        message: read ? words['bad-range'].withoutTo(written(read)) : words['bad-range'].oneBound,
        ...(read && {
          fix: { label: words['bad-range'].fix(written(read)), edits: [{ from, to: at, insert: written(read) }] }
        })
      });
      if (!read) {
        lexemes.push({ kind: 'gap', from, to: at });
        return;
      }
      bounds = [read.low, read.high].map((one) => (one === null ? '*' : writeNumber(one)));
    }
    const days = bounds.map((one, i) => readDay(one, i === 0 ? 'first' : 'last'));
    const numbers = bounds.map((one, i) => {
      const day = days[i];
      return one === '*' ? null : day ? { value: day, thousands: false } : readNumber(one);
    });
    const values = bounds.map((one, i) => (one === '*' ? null : (numbers[i]?.value ?? NaN)));
    const wrong = bounds.find((_, i) => Number.isNaN(values[i]));
    if (wrong !== undefined) {
      problems.push({
        code: 'bad-range',
        severity: 'error',
        from,
        to: at,
        message: words['bad-range'].noNumber(wrong)
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
        message: words['bad-range'].thousands(insert),
        fix: { label: words['bad-range'].fix(insert), edits: [{ from, to: at, insert }] }
      });
    }
    const [low, high] = values as [number | null, number | null];
    if (low !== null && high !== null && low > high)
      problems.push({
        code: 'bad-range',
        severity: 'warning',
        from,
        to: at,
        message: words['bad-range'].wrongWayRound(low, high),
        fix: { label: words['bad-range'].fixSwap, edits: [{ from, to: at, insert: written({ low: high, high: low }) }] }
      });
    lexemes.push({ kind: 'range', low, high, ...(days.some(Boolean) && { days: true }), from, to: at });
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
      if (ends.test(c) || isListSign(c, end)) break;
      end += c.length;
      if (c === ':' && scopeName.test(text.slice(from, end))) break;
    }
    const raw = text.slice(from, end);
    at = end;
    if (scopeName.test(raw)) {
      const name = raw.slice(0, -1).toLowerCase();
      if (!isScope(name))
        problems.push({
          code: 'unknown-scope',
          severity: 'error',
          from,
          to: end,
          message: words['unknown-scope'].says(raw.slice(0, -1)),
          fix: { label: words['unknown-scope'].fix, edits: [{ from, to: end, insert: '' }] }
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
        message: words['foreign-operator'].says(raw, operator.toUpperCase()),
        fix: {
          label: words['foreign-operator'].fix(operator.toUpperCase()),
          edits: [{ from, to: end, insert: operator.toUpperCase() }]
        }
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
        message: words['lower-case-operator'].says(raw),
        fix: joins
          ? {
              label: words['lower-case-operator'].fix(raw.toUpperCase()),
              edits: [{ from, to: end, insert: raw.toUpperCase() }]
            }
          : ['not', 'minus', 'scope'].includes(lexemes.at(-1)?.kind ?? '')
            ? {
                label: words['lower-case-operator'].fixExcluded(raw),
                edits: [{ from, to: end, insert: `"${raw}"` }]
              }
            : { label: words['lower-case-operator'].fixAlone, edits: [cutOut(text, { from, to: end })] }
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
        message: words['stray-sign'].says(raw),
        fix: { label: words['stray-sign'].fix, edits: [cutOut(text, { from, to: end })] }
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
        message: words['misplaced-wildcard'].says,
        fix: { label: words['misplaced-wildcard'].fix, edits: [{ from, to: end, insert: stem }] }
      });
    const short = last && keys.at(-1)!.length < shortestPrefix;
    if (short)
      problems.push({
        code: 'short-wildcard',
        severity: 'warning',
        from,
        to: end,
        message: words['short-wildcard'].says(raw),
        fix: { label: words['short-wildcard'].fix, edits: [{ from, to: end, insert: stem }] }
      });
    lexemes.push({ kind: 'word', text: stem, prefix: last && !short, from, to: end });
  }
}
