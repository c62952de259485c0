import { refuse } from '$server/platform/refusals';

/** A question that took more time than it has. */
export const tooLong = () => refuse('takes-too-long');
