import * as z from 'zod';
import { searchSchema } from '$core/dialect';
import { columnFieldSchema } from '$core/formats';
import { personSchema } from '$core/people';

/** What Eave sends to `POST /search`: a search in the source's own form, and which page of it. */
export const askSchema = z.object({
  search: searchSchema,
  page: z.int().min(0).describe('The page wanted, from 0'),
  cursor: z.string().max(4000).nullable().describe('What the page before gave as `cursor`; null on the first')
});
export type Ask = z.infer<typeof askSchema>;

const common = {
  count: z.int().min(0).max(2_000_000_000).describe('The count of the whole result as the source reports it'),
  last: z.boolean().describe('No page comes after this one'),
  cursor: z.string().max(4000).nullish().describe('Handed back with the next page, where the source goes by it'),
  spent: z.number().min(0).max(1_000_000).optional().describe("What this page cost, in the unit of the sheet's price")
};
const cell = z.union([z.string().max(20_000), z.number(), z.boolean(), z.null()]);

/** The most rows of one page. */
export const maxRows = 1000;

/** What a service answers: people in Eave's own schema, or the cells of a table whose columns are named. */
export const answerSchema = z.union([
  z.object({ ...common, people: z.array(personSchema).max(maxRows) }),
  z.object({
    ...common,
    columns: z
      .array(
        z.object({
          name: z.string().max(300),
          field: columnFieldSchema.optional().describe('What the column holds; guessed from its name where left out')
        })
      )
      .min(1)
      .max(200),
    rows: z.array(z.array(cell).max(200)).max(maxRows)
  })
]);
export type ServiceAnswer = z.infer<typeof answerSchema>;

/** Longest time to wait that a service may ask for with 429, in milliseconds; longer ones are cut to it. */
export const longestWait = 60 * 60 * 1000;

/** Levels of lists and objects in an answer; people have four. */
export const maxLevels = 32;

/** Bytes that one answer may have. */
export const largestAnswer = 8 * 1024 * 1024;
