import { quoted } from '../language/print';
import { isTerm, join, type Query, type Term } from '../language/query';
import { isTextScope, type Scope } from '../language/scopes';
import { fold, keysOf } from '../language/tokens';
import { lexBox, readBox, writeBox } from './box-text';
import type { Search } from './search-schema';
import type { Box, Fact, LimitKind, Sheet } from './sheet';
import { own } from './own';

/** A search before it is written: a query for each box, whose terms all have the box's scope, and the facts. */
export interface Draft {
  boxes: Record<string, Query>;
  include: Partial<Record<Scope, Term[]>>;
  exclude: Partial<Record<Scope, Term[]>>;
  range: Partial<Record<Scope, { low: number | null; high: number | null }>>;
}

/** Writes a draft in the source's own form; every box of it must be one that can be said. */
export function writeSearch(draft: Draft, sheet: Sheet): Search {
  const boxes: Search['boxes'] = {};
  for (const box of sheet.boxes) {
    const query = own(draft.boxes, box.id);
    const text = query && writeBox(query, box);
    if (text) boxes[box.id] = text;
  }
  const facts = sheet.facts.flatMap(({ scope, buckets }) => {
    const include = draft.include[scope]?.map((term) => writeValue(term, buckets));
    const exclude = draft.exclude[scope]?.map((term) => writeValue(term, buckets));
    const range = draft.range[scope];
    if (!include && !exclude && !range) return [];
    return [{ scope, ...(include && { include }), ...(exclude && { exclude }), ...(range && { range }) }];
  });
  return { boxes, facts };
}

/** Reads a search back by the source's own rules: what the source is being asked. */
export function readSearch(search: Search, sheet: Sheet): Query | null {
  const parts: Query[] = [];
  for (const box of sheet.boxes) {
    const text = own(search.boxes, box.id);
    const query = text ? readBox(text, box) : null;
    if (query) parts.push(query);
  }
  for (const { scope, include, exclude, range } of search.facts) {
    const buckets = sheet.facts.find((fact) => fact.scope === scope)?.buckets;
    const anyOf = (texts: readonly string[]) =>
      join(
        'or',
        texts.map((text) => readValue(text, scope, buckets))
      );
    if (include?.length) parts.push(anyOf(include));
    if (exclude?.length) parts.push({ kind: 'not', part: anyOf(exclude) });
    if (range) parts.push({ kind: 'range', scope, ...range });
  }
  return parts.length ? join('and', parts) : null;
}

/** A fact's value as it is chosen or typed; titles and firms are phrases there, elsewhere a phrase keeps its quotes. */
function writeValue(term: Term, buckets: Fact['buckets']): string {
  if (term.kind === 'range')
    return buckets?.find(({ low, high }) => low === term.low && high === term.high)?.label ?? '';
  if (isTextScope(term.scope)) return term.text;
  if (term.kind === 'word') return term.text + (term.prefix ? '*' : '');
  // Several words are a phrase with or without quotes; one in quotes is not to be stemmed.
  return keysOf(term.text).length > 1 ? term.text.replaceAll(/["*\s]+/g, ' ').trim() : quoted(term.text);
}

function readValue(text: string, scope: Scope, buckets: Fact['buckets']): Query {
  const bucket = buckets?.find(({ label }) => fold(label).trim() === fold(text).trim());
  if (bucket) return { kind: 'range', scope, low: bucket.low, high: bucket.high };
  if (isTextScope(scope)) return { kind: 'phrase', scope, text };
  const prefix = text.endsWith('*');
  if (text.startsWith('"')) return { kind: 'phrase', scope, text: text.slice(1, -1) };
  return { kind: 'word', scope, text: prefix ? text.slice(0, -1) : text, ...(prefix && { prefix }) };
}

/** The same query with every term in another scope. */
export function rescope(query: Query, scope: Scope): Query {
  if (isTerm(query)) return { ...query, scope };
  if (query.kind === 'not') return { ...query, part: rescope(query.part, scope) };
  return { ...query, parts: query.parts.map((part) => rescope(part, scope)) };
}

/** How much of each limit is used. */
export type Use = Record<LimitKind, number>;
export const noUse: Use = { characters: 0, words: 0, operators: 0, nesting: 0 };

/** What limits count in the text of one box. */
export function useOfText(text: string, box: Box): Use {
  const opening = box.opening && text.startsWith(box.opening) ? box.opening : '';
  const use = { ...noUse, characters: text.length, words: opening ? opening.split(/\s+/).length : 0 };
  let level = 0;
  for (const lexeme of lexBox(text.slice(opening.length), box)) {
    if (lexeme.kind === 'word' || lexeme.kind === 'phrase') use.words += keysOf(lexeme.text).length;
    else if (lexeme.kind === 'open') use.nesting = Math.max(use.nesting, ++level);
    else if (lexeme.kind === 'close') level--;
    else use.operators++;
  }
  return use;
}

/** What limits count in a written search: the longest box, and words and operators of all boxes together. */
export function useOf(search: Search, sheet: Sheet): Use {
  return sheet.boxes
    .flatMap((box) => {
      const text = own(search.boxes, box.id);
      return text ? [useOfText(text, box)] : [];
    })
    .reduce(
      (all, one) => ({
        characters: Math.max(all.characters, one.characters),
        words: all.words + one.words,
        operators: all.operators + one.operators,
        nesting: Math.max(all.nesting, one.nesting)
      }),
      noUse
    );
}

/** The first limit that a use goes beyond; null where it keeps to all. */
export const overLimit = (use: Use, sheet: Sheet): LimitKind | null =>
  (Object.keys(use) as LimitKind[]).find((kind) => use[kind] > (sheet.limits[kind] ?? Infinity)) ?? null;
