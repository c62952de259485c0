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
  const group: OutlineGroup =
    root && !isLeaf(root) && !root.not
      ? { ...root, at: { from: 0, to: text.length } }
      : { kind: 'all', not: false, muted: false, parts: root ? [root] : [], at: { from: 0, to: text.length } };
  for (const muted of parsed.muted) {
    const { home, scope } = innermost(group, muted, text);
    const index = home.parts.findIndex(({ at }) => at && at.from >= muted.from);
    home.parts.splice(index < 0 ? home.parts.length : index, 0, {
      ...mutedOutline(muted.text, scope, sets),
      at: muted
    });
  }
  return group;
}

/** Writes an outline; each outermost part on a line of its own, and long groups over several lines, indented. */
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

/** Muted text as it would be read in its place, without the operator that stands at its edge. */
function mutedOutline(text: string, scope: Scope, sets?: SetQueries): Outline {
  const inner = text.replace(/^(AND|OR)\s+/, '').replace(/\s+(AND|OR)$/, '');
  const parsed = parse(scope === 'any' ? inner : `${scope}:(${inner})`, sets);
  const broken = !parsed.query || parsed.problems.some(({ severity }) => severity === 'error');
  return broken
    ? { kind: 'text', not: false, muted: true, scope: 'any', text: inner }
    : { ...fromQuery(parsed.query!), muted: true };
}

const scopedGroup = /^(?:NOT\s+|-)*([A-Za-z]+):\s*\(/;

/** The smallest group around a place in the text, and the scope that words there have. */
function innermost(
  group: OutlineGroup,
  at: Span,
  text: string,
  scope: Scope = 'any'
): { home: OutlineGroup; scope: Scope } {
  for (const part of group.parts)
    if (!isLeaf(part) && !part.muted && part.at && part.at.from <= at.from && at.to <= part.at.to) {
      const named = scopedGroup.exec(text.slice(part.at.from, at.from))?.[1]?.toLowerCase();
      return innermost(part, at, text, named && isScope(named) ? named : scope);
    }
  return { home: group, scope };
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
