import { parse, type Parsed, type SetQueries } from './parse';
import { writeTerm } from './print';
import { isTerm, type Query, type Span } from './query';
import { isScope, type Scope } from './scopes';

/** A string as a tree for editing: like its query, with what is set aside and the named word sets left as they are written. */
export interface OutlineGroup {
  kind: 'all' | 'any';
  not: boolean;
  muted: boolean;
  parts: Outline[];
  at?: Span | undefined;
}
/** A word, a phrase, a range, the name of a word set, or muted text that cannot be read. */
export interface OutlineLeaf {
  kind: 'term' | 'set' | 'text';
  not: boolean;
  muted: boolean;
  scope: Scope;
  /** As written, without its scope: `"cold chain"`, `pharma*`, `[51 TO 500]`; a set's name. */
  text: string;
  at?: Span | undefined;
}
export type Outline = OutlineGroup | OutlineLeaf;

export const isLeaf = (outline: Outline): outline is OutlineLeaf => outline.kind !== 'all' && outline.kind !== 'any';

/** The outline of a text. The outermost node is always a group; an empty text has an empty one. */
export function outlineOf(text: string, sets?: SetQueries, parsed: Parsed = parse(text, sets)): OutlineGroup {
  const root = parsed.query && fromQuery(parsed.query);
  const whole = { from: 0, to: text.length };
  const group: OutlineGroup =
    root && !isLeaf(root) && !root.not
      ? { ...root, at: whole }
      : { kind: 'all', not: false, muted: false, parts: root ? [root] : [], at: whole };
  const around = parsed.muted.length ? bracketsAround(text, parsed.muted) : [];
  for (const [i, muted] of parsed.muted.entries()) {
    const { bracket, scope } = around[i]!;
    const operator = /^(AND|OR)\s/.exec(muted.text) ?? /\s(AND|OR)$/.exec(muted.text);
    const kind = operator && (operator[1] === 'AND' ? 'all' : 'any');
    const outline: Outline = { ...mutedOutline(muted.text, scope, sets), at: muted };
    putInto(innermost(group, muted), outline, { kind, behind: operator?.index === 0, bracket, text });
  }
  return group;
}

/**
 * Puts what is set aside where it stands. A bracket that it leaves with one part, or with parts of the kind of the group
 * around, is none any more to anybody who reads the string without it; here it is made one again, so that the part means what it meant when it is
 * taken up.
 */
function putInto(
  home: OutlineGroup,
  muted: Outline,
  {
    kind,
    behind,
    bracket,
    text
  }: { kind: OutlineGroup['kind'] | null; behind: boolean; bracket: Span | null; text: string }
): void {
  const { parts } = home;
  const from = muted.at!.from;
  const together = (kind: OutlineGroup['kind'], part: Outline): OutlineGroup => ({
    kind,
    not: false,
    muted: false,
    parts: behind ? [part, muted] : [muted, part],
    ...(part.at && { at: { from: Math.min(part.at.from, from), to: Math.max(part.at.to, muted.at!.to) } })
  });
  // A part that holds the bracket, and is excluded with it or not.
  const holder = bracket ? parts.findIndex(({ at }) => at && at.from < bracket.from && at.to >= bracket.to) : -1;
  if (holder >= 0) {
    const part = parts[holder]!;
    const outside = text.slice(part.at!.from, bracket!.from);
    const not = (outside.match(/\bNOT\b|[-–—−!]/g) ?? []).length % 2 === 1;
    parts[holder] = { ...together(kind ?? 'all', { ...part, not: part.not !== not }), not, at: part.at };
    return;
  }
  const found = parts.findIndex(({ at }) => at && at.from >= from);
  const index = found < 0 ? parts.length : found;
  if (!kind || kind === home.kind || !parts.length) {
    parts.splice(index, 0, muted);
    return;
  }
  // The parts that are in the same bracket; outside of all brackets those that are in none, or the one beside it.
  const isFellow = ({ at }: Outline) => at && (!bracket || (at.from > bracket.from && at.to < bracket.to));
  const first = bracket ? parts.findIndex(isFellow) : isBracketed(parts, text) ? 0 : behind ? index - 1 : index;
  const count = bracket ? parts.filter(isFellow).length : isBracketed(parts, text) ? parts.length : 1;
  if (first < 0 || !count || !parts[first]) {
    parts.splice(index, 0, muted);
    return;
  }
  const fellows = parts.slice(first, first + count);
  const [one] = fellows;
  const last = fellows.at(-1)!.at;
  const inner: Outline =
    count === 1
      ? one!
      : {
          kind: home.kind,
          not: false,
          muted: false,
          parts: fellows,
          ...(last && { at: { from: one!.at!.from, to: last.to } })
        };
  if (count < parts.length) parts.splice(first, count, together(kind, inner));
  else {
    home.kind = kind;
    home.parts = together(kind, inner).parts;
  }
}

/** Whether parts at the outermost place are in one bracket. */
const isBracketed = (parts: readonly Outline[], text: string): boolean => {
  const from = parts[0]?.at?.from;
  return parts.length > 1 && from !== undefined && /(^|[\s(])([A-Za-z]+:\s*)?\(\s*$/.test(text.slice(0, from));
};

/** The innermost bracket around each of some places, and the scope that words have there; what is set aside opens none. */
function bracketsAround(text: string, muted: readonly Span[]): { bracket: Span | null; scope: Scope }[] {
  const reply = muted.map(() => ({ bracket: null as Span | null, scope: 'any' as Scope }));
  const open: { from: number; scope: Scope; holds: number[] }[] = [{ from: -1, scope: 'any', holds: [] }];
  const close = (to: number) => {
    const { from, holds } = open.pop()!;
    for (const one of holds) reply[one]!.bracket = { from, to };
  };
  let quoted = false;
  let next = 0;
  for (let i = 0; i < text.length; i++) {
    if (!quoted && i === muted[next]?.from) {
      open.at(-1)!.holds.push(next);
      reply[next]!.scope = open.at(-1)!.scope;
      i = muted[next++]!.to - 1;
    } else if (quote.test(text[i]!)) quoted = !quoted;
    else if (!quoted && text[i] === '(') {
      const name = /([A-Za-z]{1,40}):\s{0,40}$/.exec(text.slice(Math.max(0, i - 40), i))?.[1]?.toLowerCase();
      open.push({ from: i, scope: name && isScope(name) ? name : open.at(-1)!.scope, holds: [] });
    } else if (!quoted && text[i] === ')' && open.length > 1) close(i + 1);
  }
  while (open.length > 1) close(text.length);
  return reply;
}
const quote = /["“”„‟«»″]/;

/** Writes an outline; each outermost part on its own line, and long groups over several lines, indented. */
export function printOutline(root: OutlineGroup, width = 100): string {
  return writeParts(root.kind, root.parts, 'any', width, 0);
}

/** Writes a query as `printOutline` does. */
export function layOut(query: Query): string {
  const root = fromQuery(query);
  return printOutline(isLeaf(root) || root.not ? { kind: 'all', not: false, muted: false, parts: [root] } : root);
}

function fromQuery(query: Query): Outline {
  if (query.set)
    return { kind: 'set', not: false, muted: false, scope: query.set.scope, text: query.set.name, at: query.at };
  if (query.kind === 'not') {
    const part = fromQuery(query.part);
    return { ...part, not: !part.not, at: query.at };
  }
  if (isTerm(query))
    return {
      kind: 'term',
      not: false,
      muted: false,
      scope: query.scope,
      text: writeTerm(query, query.scope),
      at: query.at
    };
  const parts: Outline[] = [];
  let last: Query | null = null;
  for (const part of query.parts) {
    const sameSet = part.set && last?.set && part.at?.from === last.at?.from && part.set.name === last.set.name;
    if (!sameSet) parts.push(fromQuery(part));
    last = part;
  }
  return { kind: query.kind === 'and' ? 'all' : 'any', not: false, muted: false, parts, at: query.at };
}

/** Muted text as it would be read in its place, without the operator that is at its edge. */
function mutedOutline(text: string, scope: Scope, sets?: SetQueries): Outline {
  const inner = text.replace(/^(AND|OR)\s+/, '').replace(/\s{1,40}(AND|OR)$/, '');
  const parsed = parse(scope === 'any' ? inner : `${scope}:(${inner})`, sets);
  const broken = !parsed.query || parsed.problems.some(({ severity }) => severity === 'error');
  return broken
    ? { kind: 'text', not: false, muted: true, scope: 'any', text: inner }
    : { ...fromQuery(parsed.query!), muted: true };
}

/** The smallest group around a place in the text. */
function innermost(group: OutlineGroup, at: Span): OutlineGroup {
  for (const part of group.parts)
    if (!isLeaf(part) && !part.muted && part.at && part.at.from <= at.from && at.to <= part.at.to)
      return innermost(part, at);
  return group;
}

function writeParts(
  kind: OutlineGroup['kind'],
  parts: readonly Outline[],
  scope: Scope,
  width: number,
  depth: number
): string {
  const operator = kind === 'all' ? 'AND' : 'OR';
  const indent = '  '.repeat(depth);
  const live = parts.filter((part) => !part.muted).length;
  const pieces: string[] = [];
  let before = 0;
  for (const part of parts) {
    const text = write(part, scope, parts.length > 1 ? kind : 'alone', width, depth);
    if (!part.muted) {
      const joined = kind === 'all' && part.not ? text : `${operator} ${text}`;
      pieces.push(before++ ? joined : text);
    } else if (before) pieces.push(`/* ${operator} ${text} */`);
    else pieces.push(live ? `/* ${text} ${operator} */` : `/* ${text} */`);
  }
  if (depth === 0 && kind === 'all') return pieces.join('\n');
  const lines: string[] = [];
  for (const piece of pieces) {
    const last = lines.at(-1);
    const fits =
      last && !last.includes('\n') && !piece.includes('\n') && last.length + piece.length + indent.length < width;
    if (fits) lines[lines.length - 1] = `${last} ${piece}`;
    else lines.push(piece);
  }
  return lines.join(`\n${indent}`);
}

function write(
  part: Outline,
  scope: Scope,
  around: OutlineGroup['kind'] | 'alone' | 'not',
  width: number,
  depth: number
): string {
  if (part.not) {
    const text = `NOT ${write({ ...part, not: false }, scope, 'not', width, depth)}`;
    return around === 'not' ? `(${text})` : text;
  }
  if (isLeaf(part)) {
    if (part.kind === 'text') return part.text;
    const text = part.kind === 'set' ? `@${part.text}` : part.text;
    return part.scope === scope ? text : `${part.scope}:${text}`;
  }
  const live = part.parts.filter((inner) => !inner.muted);
  if (live.length <= 1 && live.length === part.parts.length)
    return live.length ? write(live[0]!, scope, around, width, depth) : '';
  const common = commonScope(part);
  const inScope = common && common !== 'any' ? common : scope;
  if (around === 'alone' && inScope === scope) return writeParts(part.kind, part.parts, inScope, width, depth);
  const inside = writeParts(part.kind, part.parts, inScope, width, depth + 1);
  const open = inScope === scope ? '(' : `${inScope}:(`;
  return inside.includes('\n')
    ? `${open}\n${'  '.repeat(depth + 1)}${inside}\n${'  '.repeat(depth)})`
    : `${open}${inside})`;
}

/** The scope of every leaf, where it is one; broken muted text has none to tell. */
function commonScope(outline: Outline): Scope | null {
  if (isLeaf(outline)) return outline.scope;
  const scopes = new Set(outline.parts.filter((part) => part.kind !== 'text').map(commonScope));
  return scopes.size === 1 ? [...scopes][0]! : null;
}

/** A leaf read from what a person typed into the tree: a word, several words (quoted), a range, or `@a-set`. */
export function readLeaf(typed: string, scope: Scope): OutlineLeaf | null {
  const written = typed.trim();
  const scoped = /^([A-Za-z]+):(.*)$/s.exec(written);
  if (scoped && isScope(scoped[1]!.toLowerCase())) return readLeaf(scoped[2]!, scoped[1]!.toLowerCase() as Scope);
  const leaf = { not: false, muted: false, scope };
  if (/^@[\p{L}\p{N}][\p{L}\p{N}_-]*$/u.test(written))
    return { ...leaf, kind: 'set', text: written.slice(1).toLowerCase() };
  const { query, problems } = parse(`${scope}:${written}`);
  if (query && isTerm(query) && !problems.some(({ severity }) => severity === 'error'))
    return { ...leaf, kind: 'term', text: writeTerm({ ...query, scope }, scope) };
  const words = written
    .replaceAll(/["“”„«»]/g, ' ')
    .replaceAll(/\s+/g, ' ')
    .trim();
  return /[\p{L}\p{N}]/u.test(words) ? { ...leaf, kind: 'term', text: `"${words}"` } : null;
}
