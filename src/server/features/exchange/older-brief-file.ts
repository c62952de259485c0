import * as z from 'zod';
import { largest } from '$api/limits';
import { upgradedSheet } from '$core/dialect';

/**
 * A file of the first format as the second has it: sheets say which texts are listed, and the people found count as certain,
 * shared among the searches in order. Anything else comes back as it is.
 */
export function upgradedBriefFile(raw: unknown): unknown {
  const read = firstFormat.safeParse(raw);
  if (!read.success) return raw;
  const { sources, trials, ...rest } = read.data;
  return {
    ...rest,
    formatVersion: 2,
    sources: sources.map(({ sheet, ...source }) => ({ ...source, sheet: upgradedSheet(sheet) })),
    trials: trials.map(({ answers, contacted, found, ...trial }) => {
      let left = found.length + contacted;
      return {
        ...trial,
        found,
        contacted,
        open: [],
        answers: answers.map(({ said, interval, shown: rows }) => {
          const stay = Math.min(rows, left);
          left -= stay;
          return { said, interval, shown: rows, certain: stay, possible: stay, complete: interval.high <= rows };
        })
      };
    })
  };
}
const number = z.int().min(0).max(largest);
const firstFormat = z.looseObject({
  format: z.literal('eave-brief'),
  formatVersion: z.literal(1),
  sources: z.array(z.looseObject({ sheet: z.unknown() })),
  trials: z.array(
    z.looseObject({
      answers: z.array(
        z.object({ said: number, interval: z.object({ low: z.number(), high: z.number() }), shown: number })
      ),
      contacted: number,
      found: z.array(z.string().min(1).max(300))
    })
  )
});
