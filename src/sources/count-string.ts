import { addAll, countBits, emptyBitmap, firstOf, keepCommon } from '$core/corpus/bitmap';
import { render, type Rendering } from '$core/dialect/render';
import { countInterval } from '$core/measure/count';
import type { Interval } from '$core/measure/wilson';
import type { Query } from '$core/query/query';
import type { IndexedSource } from './indexed-source';
import { countOf } from './try-string';

/** How many people a string finds at a source, as `tryString` says, worked out on sets and without making a person. */
export function countString(query: Query, source: IndexedSource): { rendering: Rendering; count: Interval } {
  const rendering = render(query, source.sheet);
  const seen = emptyBitmap(source.index.size);
  const answers = rendering.searches.map((search) => {
    const { said, found } = source.count(search);
    const shown = firstOf(found, source.sheet.limits.shown ?? Infinity);
    addAll(seen, shown);
    return { said, interval: countInterval(said, source.sheet.counting), shown: countBits(shown) };
  });
  if (rendering.leftover) keepCommon(seen, source.index.rows(rendering.leftover));
  return { rendering, count: countOf(answers, rendering, countBits(seen)) };
}
