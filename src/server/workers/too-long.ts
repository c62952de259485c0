import { Refusal } from '../refusal';

/** A question that took more time than it has. */
export const tooLong = () =>
  new Refusal(
    422,
    'Takes too long',
    'This takes too long to work out, so it was broken off; nothing of yours was changed. Make the string shorter, or ask for less at once.'
  );
