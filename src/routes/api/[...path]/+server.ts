import { answerApi } from '$server/app/routes';

/** Everything under /api, by the contract. */
export const fallback = answerApi;
