import type { Scope } from './scopes';
import { checkpoint } from './checkpoint';

/** Where a part was read in the text it came from (UTF-16 offsets, end excluded). */
export interface Span {
  from: number;
  to: number;
}

interface Placed {
  /** Present on parsed queries; never part of the meaning. */
  at?: Span | undefined;
  /** Present on what represents a named word set: its name, and the scope it was written in. */
  set?: { name: string; scope: Scope } | undefined;
}

/** An unquoted word; with `prefix`, every word that begins so. One that the word rules split is read as a phrase. */
export interface Word extends Placed {
  kind: 'word';
  scope: Scope;
  text: string;
  prefix?: boolean | undefined;
}
/** Words side by side inside one value of one field. */
export interface Phrase extends Placed {
  kind: 'phrase';
  scope: Scope;
  text: string;
}
/** A number between two bounds, both included; `null` is open. */
export interface Range extends Placed {
  kind: 'range';
  scope: Scope;
  low: number | null;
  high: number | null;
}
export interface And extends Placed {
  kind: 'and';
  parts: Query[];
}
export interface Or extends Placed {
  kind: 'or';
  parts: Query[];
}
export interface Not extends Placed {
  kind: 'not';
  part: Query;
}

export type Term = Word | Phrase | Range;
/** A boolean string as a tree. Every term carries its own scope. */
export type Query = Term | And | Or | Not;

export const isTerm = (query: Query): query is Term =>
  query.kind === 'word' || query.kind === 'phrase' || query.kind === 'range';

/** Joins parts, flattening groups of the same kind and leaving a single part alone. */
export function join(kind: 'and' | 'or', parts: readonly Query[], at?: Span): Query {
  const flat = parts.flatMap((part) => (part.kind === kind ? part.parts : [part]));
  if (flat.length === 1) return flat[0]!;
  return at ? { kind, parts: flat, at } : { kind, parts: flat };
}

/** Every term with the sign it has in the whole: `false` under an odd number of NOTs. */
export function* terms(query: Query, wanted = true): Generator<{ term: Term; wanted: boolean }> {
  switch (query.kind) {
    case 'and':
    case 'or':
      for (const part of query.parts) yield* terms(part, wanted);
      break;
    case 'not':
      yield* terms(query.part, !wanted);
      break;
    default:
      checkpoint();
      yield { term: query, wanted };
  }
}
