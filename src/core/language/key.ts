import type { Query } from './query';

const keys = new WeakMap<Query, string>();

/** A key for what a query finds, independent of positions in a text: queries with one key find the same. Computed once. */
export function keyOf(query: Query): string {
  let key = keys.get(query);
  if (key === undefined) keys.set(query, (key = writeKey(query)));
  return key;
}

function writeKey(query: Query): string {
  switch (query.kind) {
    case 'and':
    case 'or':
      return `${query.kind}(${query.parts.map(keyOf).join('\u0000')})`;
    case 'not':
      return `not(${keyOf(query.part)})`;
    case 'range':
      return `${query.scope}[${query.low} ${query.high}`;
    default:
      return `${query.scope}${query.kind === 'word' && query.prefix ? '*' : query.kind[0]}${query.text}`;
  }
}
