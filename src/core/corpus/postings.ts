import { isOwnScope, type Scope } from '../language/scopes';
import type { Bitmap } from './bitmap';
import type { IndexParts } from './index-parts';
import { searches } from '../people/values';
import { fields } from '../people/fields';

/** The first of the values that a scope searches, and the one behind the last; `fields` keeps each scope's together. */
export function valuesIn(
  scope: Scope,
  { fieldStarts, own }: Pick<IndexParts, 'fieldStarts' | 'own'>
): [number, number] {
  if (isOwnScope(scope)) {
    const at = own.indexOf(scope);
    return at < 0 ? [0, 0] : [fieldStarts[fields.length + at]!, fieldStarts[fields.length + at + 1]!];
  }
  const searched = fields.map((field) => searches(scope, field));
  return [fieldStarts[searched.indexOf(true)]!, fieldStarts[searched.lastIndexOf(true) + 1]!];
}

/** The values that hold a word, ascending, of those from one to before another. Shared: not to be changed. */
export function valuesWith(
  word: number,
  from: number,
  to: number,
  { values, wordStarts }: Pick<IndexParts, 'values' | 'wordStarts'>
): Uint32Array {
  const firstAt = (value: number) => {
    let low = wordStarts[word]!;
    let high = wordStarts[word + 1]!;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (values[middle]! < value) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  return values.subarray(firstAt(from), firstAt(to));
}

/** Adds to `rows` all who have one of some values. */
export function addHolders(
  rows: Bitmap,
  values: Uint32Array,
  { holders, holderStarts }: Pick<IndexParts, 'holders' | 'holderStarts'>
): void {
  for (let i = 0; i < values.length; i++) {
    const value = values[i]!;
    for (let at = holderStarts[value]!, end = holderStarts[value + 1]!; at < end; at++) {
      const row = holders[at]!;
      rows[row >>> 5]! |= 1 << (row & 31);
    }
  }
}
