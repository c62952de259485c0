import * as z from 'zod';

/** What can go wrong at a stand-in, as it does at real places. Each can be switched. */
export const faultsSchema = z.object({
  slow: z.boolean().describe('Answers take their time'),
  timeOuts: z.boolean().describe('Now and then no answer comes'),
  refusals: z.boolean().describe('Too many requests in a minute are refused, with a time to wait'),
  repeats: z.boolean().describe('Now and then a page shows the rows of the page before'),
  drift: z.boolean().describe('The count changes from page to page')
});
export type Faults = z.infer<typeof faultsSchema>;
