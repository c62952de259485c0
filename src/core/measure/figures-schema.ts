import * as z from 'zod';

const interval = z.object({ low: z.number(), high: z.number() });
/** Whole rows, as many as a source could have. */
const rows = z.int().min(0).max(2_147_483_647);
export const estimateSchema = interval.extend({ middle: z.number() });
const both = <T extends z.ZodType>(one: T) => z.object({ certain: one, possible: one });
const precision = z.object({
  fits: z.int(),
  misses: z.int(),
  unsure: z.int(),
  share: z.number().nullable(),
  interval,
  draws: z.number().optional().describe('Independent draws that the judged are worth, where whole pages were drawn')
});

export const searchAnswerSchema = z.object({
  said: rows,
  interval: z
    .object({ low: z.number().min(0).max(1e12), high: z.number().min(0).max(1e12) })
    .refine(({ low, high }) => low <= high, 'The lower end comes first.'),
  shown: rows,
  certain: rows,
  possible: rows,
  complete: z.boolean(),
  pages: z.array(z.int().min(1)).optional().describe('The pages read by hand, in order'),
  outstanding: z.boolean().optional().describe('This search was not run yet')
});
export const foundSchema = z.object({
  reported: estimateSchema.describe('Rows that the source says it has, as its way of counting allows'),
  shown: z.int().describe('Rows it lets us see, after its cap'),
  certain: z.int().describe('People shown who meet the string for certain'),
  possible: z.int().describe('People shown that nothing listed contradicts; includes the certain'),
  estimated: both(estimateSchema).describe('Reported times the share of the rows shown that stay'),
  part: z
    .enum(['top', 'pages'])
    .optional()
    .describe(
      'Which part was read by hand: the top only, or pages through the depth; missing where all shown was read'
    ),
  outstanding: z
    .object({ run: z.int().min(0), of: z.int().min(1) })
    .optional()
    .describe('How many of the searches were run; every other figure is of these alone. Missing where all were')
});
export const figuresSchema = foundSchema.extend({
  precision: both(precision).describe('Share of fits among those judged of the sample'),
  fits: both(estimateSchema.nullable()).describe('Estimated result times precision')
});
