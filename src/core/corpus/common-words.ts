import { countBits, emptyBitmap, type Bitmap } from './bitmap';
import type { IndexParts } from './index-parts';
import { addHolders, valuesIn, valuesWith } from './postings';

/** A word is common that one in so many people says: from there on a set is no larger than a list of rows of 32 bits. */
const oneIn = 32;

/** The words that are common anywhere in profiles, ascending, and the sets of those who say them, one after the other. */
export function commonWords(
  parts: Omit<IndexParts, 'commonWords' | 'commonRows'>
): Pick<IndexParts, 'commonWords' | 'commonRows'> {
  const { stream, begins, holderStarts, words, ids } = parts;
  const [from, to] = valuesIn('any', parts);
  /** For each word, how many say it, and more where one says it twice. */
  const most = new Uint32Array(words.length);
  for (let value = from; value < to; value++) {
    const holders = holderStarts[value + 1]! - holderStarts[value]!;
    for (let at = begins[value]!; stream[at] !== 0; at++) most[stream[at]!]! += holders;
  }
  const common: number[] = [];
  const sets: Bitmap[] = [];
  for (let word = 1; word < most.length; word++) {
    if (most[word]! * oneIn < ids.length) continue;
    const rows = emptyBitmap(ids.length);
    addHolders(rows, valuesWith(word, from, to, parts), parts);
    if (countBits(rows) * oneIn < ids.length) continue;
    common.push(word);
    sets.push(rows);
  }
  const width = sets[0]?.length ?? 0;
  const commonRows = new Int32Array(sets.length * width);
  sets.forEach((rows, i) => commonRows.set(rows, i * width));
  return { commonWords: Uint32Array.from(common), commonRows };
}
