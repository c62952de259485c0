import { lex, type Lexeme, type Muted } from './lex';
import { limits } from './limits';
import { readBounds, readNumber } from './numbers';
import { print } from './print';
import { cutOut, type Edit, type Problem } from './problem';
import { problemWords } from './problem-words';
import { isTerm, join, terms, type Query, type Span, type Term } from './query';
import { isNumberFact, isOwnScope, takesRange, type Scope } from './scopes';

/** What a text was read as. `query` holds all that could be read, and is null when nothing could. */
export interface Parsed {
  query: Query | null;
  problems: Problem[];
  /** Parts set aside, which mean nothing for now. */
  muted: Muted[];
  /** Names of the word sets that the text uses, known or not. */
  sets: string[];
}

/** What named word sets represent, by name in lower case. */
export type SetQueries = ReadonlyMap<string, Query>;
const noSets: SetQueries = new Map();

/**
 * Reads a string in Eave's notation (docs/notation.md). Takes anything and never throws: what cannot be read
 * is reported as problems, in the order of the text, and the rest is read anyway.
 */
export function parse(text: string, sets: SetQueries = noSets): Parsed {
  const tooLarge = overLimit(text);
  if (tooLarge) return { query: null, problems: [tooLarge], muted: [], sets: [] };
  const { lexemes, muted, problems } = lex(text);
  const named = [...new Set(lexemes.flatMap((lexeme) => (lexeme.kind === 'set' ? [lexeme.name] : [])))];
  const tooMuch = overCount(lexemes, sets);
  if (tooMuch) return { query: null, problems: [tooMuch], muted, sets: named };
  const query = new Reader(text, lexemes, problems, sets).read();
  problems.sort((a, b) => a.from - b.from || a.to - b.to);
  return { query, problems, muted, sets: named };
}

function overLimit(text: string): Problem | null {
  const bytes = new TextEncoder().encode(text).length;
  if (bytes <= limits.bytes) return null;
  return {
    code: 'too-long',
    severity: 'error',
    from: 0,
    to: text.length,
    message: problemWords['too-long'].says(Math.ceil(bytes / 1024), limits.bytes / 1024)
  };
}

function overCount(lexemes: Lexeme[], sets: SetQueries): Problem | null {
  const sizes = new Map<string, number>();
  const sizeOf = (name: string) => {
    const known = sizes.get(name);
    if (known !== undefined) return known;
    const query = sets.get(name);
    const size = query ? [...terms(query)].length : 1;
    sizes.set(name, size);
    return size;
  };
  let level = 0;
  let count = 0;
  for (const lexeme of lexemes) {
    if (lexeme.kind === 'open') level++;
    else if (lexeme.kind === 'close') level = Math.max(0, level - 1);
    else if (lexeme.kind === 'word' || lexeme.kind === 'phrase' || lexeme.kind === 'range') count++;
    else if (lexeme.kind === 'set') count += sizeOf(lexeme.name);
    if (level > limits.levels)
      return {
        code: 'too-deep',
        severity: 'error',
        from: lexeme.from,
        to: lexeme.to,
        message: problemWords['too-deep'].says(limits.levels)
      };
    if (count > limits.terms)
      return {
        code: 'too-many-terms',
        severity: 'error',
        from: lexeme.from,
        to: lexeme.to,
        message: problemWords['too-many-terms'].says(limits.terms)
      };
  }
  return null;
}

/** One alternative or one member of a group while it is read. */
interface Member {
  query: Query;
  span: Span;
  /** A plain word with nothing around it: what people forget to quote. */
  bare: boolean;
}

class Reader {
  private at = 0;
  private readonly text: string;
  private readonly lexemes: Lexeme[];
  private readonly problems: Problem[];

  private readonly sets: SetQueries;

  constructor(text: string, lexemes: Lexeme[], problems: Problem[], sets: SetQueries) {
    this.text = text;
    this.sets = sets;
    this.lexemes = lexemes;
    this.problems = problems;
  }

  read(): Query | null {
    const found: Query[] = [];
    for (;;) {
      const member = this.readOr('any');
      if (member) found.push(member.query);
      const rest = this.peek();
      if (!rest) break;
      this.unopened(rest);
      this.at++;
    }
    if (!found.length) return null;
    const query = join('and', found, { from: 0, to: this.text.length });
    this.checkWhole(query);
    return query;
  }

  private peek = (): Lexeme | undefined => this.lexemes[this.at];

  private say(
    code: Problem['code'],
    severity: Problem['severity'],
    span: Span,
    message: string,
    fix?: { label: string; edits: Edit[] }
  ) {
    this.problems.push({ code, severity, from: span.from, to: span.to, message, ...(fix && { fix }) });
  }

  /** What stood before the bracket was not read with what follows it: the fix must not join them. */
  private unopened(bracket: Lexeme) {
    const before = this.lexemes[this.at - 1];
    const negated = before?.kind === 'not' || before?.kind === 'minus';
    const from = negated ? before.from : bracket.from;
    this.say(
      'unopened-bracket',
      'error',
      bracket,
      problemWords['unopened-bracket'].says,
      before?.kind === 'scope'
        ? undefined
        : {
            label: negated
              ? problemWords['unopened-bracket'].fixBoth(this.text.slice(from, bracket.to))
              : problemWords['unopened-bracket'].fix,
            edits: [
              negated
                ? cutOut(this.text, { from, to: bracket.to })
                : { from, to: bracket.to, insert: spaceFor(this.text, bracket) }
            ]
          }
    );
  }

  private readOr(scope: Scope): Member | null {
    const alternatives: { member: Member; several: boolean }[] = [];
    let pending: Lexeme | null = null;
    /** The one between the first two alternatives. */
    let between: Lexeme | null = null;
    for (;;) {
      const next = this.peek();
      if (!next || next.kind === 'close') break;
      if (next.kind === 'or') {
        if (pending || !alternatives.length) this.misplaced(next);
        else pending = next;
        this.at++;
        continue;
      }
      const one = this.readAnd(scope);
      if (!one) continue;
      if (alternatives.length === 1) between = pending;
      alternatives.push(one);
      pending = null;
    }
    if (pending) this.misplaced(pending);
    const [first] = alternatives;
    if (!first) return null;
    if (alternatives.length === 1) return first.member;
    const span = { from: first.member.span.from, to: alternatives.at(-1)!.member.span.to };
    const mixed = alternatives.filter((one) => one.several);
    if (mixed.length) this.mixed(alternatives, mixed, between);
    const parts = alternatives.map((one) => one.member.query);
    return { query: join('or', parts, span), span, bare: false };
  }

  /** Reports at the operator between the first two alternatives, so that a long string isn't marked from end to end. */
  private mixed(all: { member: Member; several: boolean }[], mixed: { member: Member }[], operator: Lexeme | null) {
    const cut = ({ from, to }: Span) => {
      const text = this.text.slice(from, to).replaceAll(/\s+/g, ' ');
      return text.length > 60 ? `${text.slice(0, 28)} … ${text.slice(-28)}` : text;
    };
    const shown = all.slice(0, 4).map((one) => (one.several ? `(${cut(one.member.span)})` : cut(one.member.span)));
    if (all.length > shown.length) shown.push('…');
    const gap = { from: all[0]!.member.span.to, to: all[1]!.member.span.from };
    this.say('mixed-operators', 'warning', operator ?? gap, problemWords['mixed-operators'].says(shown.join(' OR ')), {
      label: problemWords['mixed-operators'].fix,
      edits: mixed.flatMap(({ member: { span: s } }) => [
        { from: s.from, to: s.from, insert: '(' },
        { from: s.to, to: s.to, insert: ')' }
      ])
    });
  }

  private readAnd(scope: Scope): { member: Member; several: boolean } | null {
    const members: Member[] = [];
    let run: Member[] = [];
    let pending: Lexeme | null = null;
    for (;;) {
      const next = this.peek();
      if (!next || next.kind === 'close' || next.kind === 'or') break;
      if (next.kind === 'and') {
        if (pending || !members.length) this.misplaced(next);
        else pending = next;
        this.at++;
        continue;
      }
      const member = this.readNot(scope);
      if (!member) continue;
      if (!member.bare || pending) {
        this.checkRun(run);
        run = [];
      }
      if (member.bare || opensRun(member.query)) run.push(member);
      members.push(member);
      pending = null;
    }
    this.checkRun(run);
    if (pending) this.misplaced(pending);
    const [first] = members;
    if (!first) return null;
    const span = { from: first.span.from, to: members.at(-1)!.span.to };
    const query = join(
      'and',
      members.map((member) => member.query),
      span
    );
    return { member: { query, span, bare: members.length === 1 && first.bare }, several: members.length > 1 };
  }

  /** Plain words side by side: a title whose quotes were forgotten, or an exclusion that covers its first word only. */
  private checkRun(run: Member[]) {
    const [first] = run;
    if (!first || run.length < 2) return;
    const words = run.map(({ span }, i) => {
      const written = this.text.slice(span.from, span.to);
      return i === 0
        ? written.replace(/^(NOT\s+|[-–—−!])*([A-Za-z]+:\s*|own\.[\p{L}\p{M}\p{N}_]+:\s*)?/iu, '')
        : written;
    });
    const from = first.span.to - words[0]!.length;
    const to = run.at(-1)!.span.to;
    const phrase = words.join(' ');
    const star = phrase.includes('*');
    const fix = { label: problemWords['unquoted-title'].fix(phrase), edits: [{ from, to, insert: `"${phrase}"` }] };
    if (first.query.kind === 'not')
      this.say(
        'unquoted-exclusion',
        'warning',
        { from: first.span.from, to },
        problemWords['unquoted-exclusion'].says(words[0]!, words.slice(1).join(' ')),
        star ? undefined : fix
      );
    else
      this.say(
        'unquoted-title',
        'warning',
        { from: first.span.from, to },
        problemWords['unquoted-title'].says(run.length),
        star ? undefined : fix
      );
  }

  private readNot(scope: Scope): Member | null {
    const first = this.peek()!;
    let negations = 0;
    let last = first;
    while (this.peek()?.kind === 'not' || this.peek()?.kind === 'minus') {
      last = this.peek()!;
      negations++;
      this.at++;
    }
    // An operator that joins nothing does not end the reach of a NOT: an exclusion never turns into a want.
    while (negations && (this.peek()?.kind === 'and' || this.peek()?.kind === 'or')) {
      let past = this.at + 1;
      while (this.lexemes[past]?.kind === 'and' || this.lexemes[past]?.kind === 'or') past++;
      const after = this.lexemes[past];
      if (!after || after.kind === 'close') break;
      for (; this.at < past; this.at++) this.misplaced(this.peek()!);
      while (this.peek()?.kind === 'not' || this.peek()?.kind === 'minus') {
        last = this.peek()!;
        negations++;
        this.at++;
      }
    }
    const next = this.peek();
    if (!next || next.kind === 'and' || next.kind === 'or' || next.kind === 'close') {
      this.misplaced(last);
      return null;
    }
    const member = this.readPrimary(scope);
    if (!member || negations === 0) return member;
    const span = { from: first.from, to: member.span.to };
    const query: Query = negations % 2 ? { kind: 'not', part: member.query, at: span } : member.query;
    return { query, span, bare: false };
  }

  private readPrimary(outer: Scope): Member | null {
    const first = this.peek()!;
    let scope = outer;
    while (this.peek()?.kind === 'scope') {
      const lexeme = this.peek() as Lexeme & { kind: 'scope' };
      if (lexeme !== first)
        this.say('doubled-scope', 'error', lexeme, problemWords['doubled-scope'].says, {
          label: problemWords['doubled-scope'].fix,
          edits: [{ from: first.from, to: lexeme.from, insert: '' }]
        });
      if (lexeme.scope) scope = lexeme.scope;
      this.at++;
    }
    const next = this.peek();
    if (!next || ['and', 'or', 'not', 'minus', 'close'].includes(next.kind)) {
      const scopeLexeme = this.lexemes[this.at - 1]!;
      this.say('empty-scope', 'error', scopeLexeme, problemWords['empty-scope'].says);
      return null;
    }
    this.at++;
    if (next.kind === 'gap') return null;
    if (next.kind === 'open') return this.readGroup(scope, first, next);
    const span = { from: first.from, to: next.to };
    if (next.kind === 'set') return this.readSet(next, scope, span);
    const term = this.term(next, scope, span);
    const operatorLike = next.kind === 'word' && /^(and|or|not)$/i.test(next.text);
    return term && { query: term, span, bare: next === first && next.kind === 'word' && !operatorLike };
  }

  private readSet({ name, from, to }: Lexeme & { kind: 'set' }, scope: Scope, span: Span): Member | null {
    const query = this.sets.get(name);
    if (query) return { query: standFor(query, scope, { at: span, set: { name, scope } }), span, bare: false };
    this.say('unknown-set', 'error', { from, to }, problemWords['unknown-set'].says(name), {
      label: problemWords['unknown-set'].fix,
      edits: [{ from, to, insert: `"${this.text.slice(from + 1, to)}"` }]
    });
    return null;
  }

  private readGroup(scope: Scope, first: Lexeme, open: Lexeme): Member | null {
    const inside = this.readOr(scope);
    const close = this.peek();
    if (close) this.at++;
    else
      this.say('unclosed-bracket', 'error', open, problemWords['unclosed-bracket'].ofGroup, {
        // Behind a quote that is open too, the bracket would be part of the phrase.
        ...(this.problems.some(({ code }) => code === 'unclosed-quote')
          ? {
              label: problemWords['unclosed-bracket'].fixWithQuote,
              edits: [{ from: this.text.length, to: this.text.length, insert: '")' }]
            }
          : {
              label: problemWords['unclosed-bracket'].fix,
              edits: [{ from: this.text.length, to: this.text.length, insert: ')' }]
            })
      });
    const span = { from: first.from, to: close?.to ?? this.text.length };
    if (!inside) {
      if (close)
        this.say('empty-group', 'error', span, problemWords['empty-group'].says, {
          label: problemWords['empty-group'].fix,
          edits: [cutOut(this.text, span)]
        });
      return null;
    }
    const query =
      inside.query.kind === 'and' || inside.query.kind === 'or' ? { ...inside.query, at: span } : inside.query;
    return { query, span, bare: false };
  }

  private term(lexeme: Lexeme, scope: Scope, at: Span): Term | null {
    if (lexeme.kind === 'range') {
      if (!takesRange(scope)) this.say('range-on-words', 'error', at, problemWords['range-on-words'].says(scope));
      else if (lexeme.days && !isOwnScope(scope))
        this.say('bad-range', 'error', at, problemWords['bad-range'].noDays(scope));
      return { kind: 'range', scope, low: lexeme.low, high: lexeme.high, at };
    }
    if (lexeme.kind !== 'word' && lexeme.kind !== 'phrase') return null;
    if (isOwnScope(scope) && Number(lexeme.text) < 0) {
      const value = Number(lexeme.text);
      return { kind: 'range', scope, low: value, high: value, at };
    }
    if (isNumberFact(scope)) {
      const number = readNumber(lexeme.text);
      const bounds = number ? { low: number.value, high: number.value } : readBounds(lexeme.text);
      if (!bounds) this.say('bad-number', 'error', at, problemWords['bad-number'].says(lexeme.text, scope));
      else if (!number || number.thousands || number.value < 0 || lexeme.kind === 'phrase') {
        const range: Term = { kind: 'range', scope, ...bounds, at };
        if (!number || number.thousands) {
          const written = print({ ...range, scope: 'any' }).replace(/^any:/, '');
          this.say('bad-number', 'hint', lexeme, problemWords['bad-number'].readAs(written), {
            label: problemWords['bad-number'].fix(written),
            edits: [{ from: lexeme.from, to: lexeme.to, insert: written }]
          });
        }
        return range;
      }
    }
    return lexeme.kind === 'phrase'
      ? { kind: 'phrase', scope, text: lexeme.text, at }
      : { kind: 'word', scope, text: lexeme.text, ...(lexeme.prefix && { prefix: true }), at };
  }

  private misplaced(lexeme: Lexeme) {
    const written = this.text.slice(lexeme.from, lexeme.to);
    this.say('misplaced-operator', 'error', lexeme, problemWords['misplaced-operator'].says(written), {
      label: problemWords['misplaced-operator'].fix(written),
      edits: [cutOut(this.text, lexeme)]
    });
  }

  private checkWhole(query: Query) {
    if (onlyExcludes(query))
      this.say('only-exclusions', 'warning', { from: 0, to: this.text.length }, problemWords['only-exclusions'].says);
  }
}

/** The space that keeps two words apart where a bracket between them goes. */
const spaceFor = (text: string, { from, to }: Span): string =>
  /[^\s()]/.test(text[from - 1] ?? ' ') && /[^\s()]/.test(text[to] ?? ' ') ? ' ' : '';

/** A named set's query where its name stands: words without their own scope take the scope there. */
function standFor(query: Query, scope: Scope, placed: Pick<Term, 'at' | 'set'>): Query {
  if (isTerm(query)) return { ...query, scope: query.scope === 'any' ? scope : query.scope, ...placed };
  if (query.kind === 'not') return { ...query, part: standFor(query.part, scope, placed), ...placed };
  return { ...query, parts: query.parts.map((part) => standFor(part, scope, placed)), ...placed };
}

/** A scoped or excluded plain word: the words after it are easily taken to belong to it. */
function opensRun(query: Query): boolean {
  if (query.kind === 'not') return opensRun(query.part);
  return query.kind === 'word' && !query.set;
}

function onlyExcludes(query: Query): boolean {
  if (query.kind === 'not') return true;
  if (query.kind === 'and') return query.parts.every(onlyExcludes);
  if (query.kind === 'or') return query.parts.some(onlyExcludes);
  return false;
}
