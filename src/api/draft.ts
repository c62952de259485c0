import * as z from 'zod';
import { largest } from './limits';

/** What a string being written is kept as. */
export const draftSchema = z.object({
  text: z.string().max(200_000),
  from: z
    .int()
    .min(1)
    .max(largest)
    .nullable()
    .default(null)
    .describe('The version that was taken up and is being changed')
});
