import { Refusal } from '$server/platform/refusal';
import { refuse } from '$server/platform/refusals';

/** A question that took more time than it has. */
export const tooLong = () => refuse('takes-too-long');

/** Whether an error says that a question took more time than it has. */
export const isTooLong = (error: unknown): boolean => error instanceof Refusal && error.code === 'takes-too-long';
