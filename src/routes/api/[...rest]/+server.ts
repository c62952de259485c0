import type { RequestHandler } from '@sveltejs/kit';
import { problem } from '$server/api/endpoint';
import { Refusal } from '$server/refusal';

/** Answers every address under /api that no operation has. */
export const fallback: RequestHandler = async ({ url }) =>
  problem(new Refusal(404, 'Not found', `There is nothing at ${url.pathname}. /api/openapi.json lists what there is.`));
