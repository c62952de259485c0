import * as z from 'zod';

/** How a source counts: exactly, rounded to some figures above a bound, or as a guess that may be `factor` times off. */
export const countingSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('exact') }),
  z.object({ kind: z.literal('rounded'), above: z.int().min(0), figures: z.int().min(1).max(6) }),
  z.object({ kind: z.literal('guess'), factor: z.number().min(1).max(100) })
]);
export type Counting = z.infer<typeof countingSchema>;

const step = (count: number, figures: number) =>
  10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, count))) + 1 - figures);

/**
 * The count a source that counts so would show for a true count. `luck`, in [0, 1), is how far off a guess is: from
 * `factor` times too few to as many times too many, told to two figures.
 */
export function shownCount(count: number, counting: Counting, luck = 0.5): number {
  if (counting.kind === 'exact') return count;
  if (counting.kind === 'rounded') return count <= counting.above ? count : roundTo(count, counting.figures);
  const guess = roundTo(Math.round(count * counting.factor ** (2 * luck - 1)), 2);
  const { low, high } = countInterval(guess, counting);
  return low <= count && count <= high ? guess : count;
}

function roundTo(count: number, figures: number): number {
  const unit = step(count, figures);
  return Math.round(count / unit) * unit;
}

/** The true counts that a shown count may represent, in whole people. */
export function countInterval(shown: number, counting: Counting): { low: number; high: number } {
  if (counting.kind === 'exact') return { low: shown, high: shown };
  if (counting.kind === 'guess')
    return { low: Math.floor(shown / counting.factor), high: Math.ceil(shown * counting.factor) };
  const { above, figures } = counting;
  const unit = step(shown, figures);
  const highest = Math.ceil(shown + unit / 2) - 1;
  if (shown <= above) return { low: shown, high: highest > above ? highest : shown };
  // Just above a power of ten the counts below were rounded in smaller steps.
  const below = step(shown - 1, figures);
  return { low: Math.max(above + 1, Math.ceil(shown - below / 2)), high: Math.max(shown, highest) };
}
