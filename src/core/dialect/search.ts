import { z } from 'zod';
import { parse } from '../query/parse';
import { quoted, print } from '../query/print';
import { isTerm, join, type Query, type Term } from '../query/query';
import { scopes, type Scope } from '../query/scopes';
import { tokenKeys } from '../query/tokens';
import type { Box, Sheet } from './sheet';

/** One search as a person would enter it at a source: a text in each box, and values or a range for each fact. */
export const searchSchema = z.object({
  boxes: z.record(z.string(), z.string()),
  facts: z.array(
    z.object({
      scope: z.enum(scopes),
      include: z.array(z.string()).optional(),
      exclude: z.array(z.string()).optional(),
      range: z.object({ low: z.number().nullable(), high: z.number().nullable() }).optional()
    })
  )
});
export type Search = z.infer<typeof searchSchema>;

/** A search before it is written: a query for each box, whose terms all have the box's scope, and the facts. */
export interface Draft {
  boxes: Record<string, Query>;
  include: Partial<Record<Scope, Term[]>>;
  exclude: Partial<Record<Scope, Term[]>>;
  range: Partial<Record<Scope, { low: number | null; high: number | null }>>;
}

/** Writes a draft in the source's own form. */
export function writeSearch(draft: Draft, sheet: Sheet): Search {
  const boxes: Search['boxes'] = {};
  for (const box of sheet.boxes) {
    const query = draft.boxes[box.id];
    if (query) boxes[box.id] = writeBox(query, box);
  }
  const facts = sheet.facts.flatMap(({ scope }) => {
    const include = draft.include[scope]?.map(writeValue);
    const exclude = draft.exclude[scope]?.map(writeValue);
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
    const text = search.boxes[box.id];
    const query = text ? readBox(text, box) : null;
    if (query) parts.push(query);
  }
  for (const { scope, include, exclude, range } of search.facts) {
    if (include?.length)
      parts.push(
        join(
          'or',
          include.map((text) => readValue(text, scope))
        )
      );
    if (exclude?.length)
      parts.push({
        kind: 'not',
        part: join(
          'or',
          exclude.map((text) => readValue(text, scope))
        )
      });
    if (range) parts.push({ kind: 'range', scope, ...range });
  }
  return parts.length ? join('and', parts) : null;
}

/** Whether a box takes nothing but words, all of which must be found. */
export const wordsOnly = (box: Box) => !box.or && !box.not && !box.phrase && !box.group && !box.prefix;

function writeBox(query: Query, box: Box): string {
  if (box.scoped) return print(query);
  if (wordsOnly(box))
    return (query.kind === 'and' ? query.parts : [query])
      .map((part) => (part as Term & { text: string }).text)
      .join(' ');
  return print(rescope(query, 'any'));
}

function readBox(text: string, box: Box): Query | null {
  if (!wordsOnly(box)) {
    const { query } = parse(text);
    return query && (box.scoped ? query : rescope(query, box.searches));
  }
  const words = tokenKeys(text);
  return words.length
    ? join(
        'and',
        words.map((word) => ({ kind: 'word', scope: box.searches, text: word }))
      )
    : null;
}

/** A fact's value as the source's list shows it; phrases keep their quotes, word beginnings their star. */
function writeValue(term: Term): string {
  return term.kind === 'range' ? '' : term.kind === 'phrase' ? quoted(term.text) : term.text + (term.prefix ? '*' : '');
}

function readValue(text: string, scope: Scope): Query {
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

/** Counts what limits count in a written search. */
export function useOf(search: Search): { characters: number; words: number; operators: number } {
  const texts = Object.values(search.boxes);
  const operators = texts.flatMap((text) => text.replaceAll(/"[^"]*"/g, '').match(/\b(AND|OR|NOT)\b/g) ?? []).length;
  return {
    characters: Math.max(0, ...texts.map((text) => text.length)),
    words: texts.reduce((sum, text) => sum + tokenKeys(text).length, 0) - operators,
    operators
  };
}
