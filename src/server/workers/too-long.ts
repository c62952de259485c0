import { Refusal } from '$server/platform/refusal';

/** A question that took more time than it has. */
export const tooLong = () =>
  new Refusal(
    422,
    'Takes too long',
    'This took too long and was stopped. Nothing was changed. Shorten the string, or do less at once.'
  );
