import type { RequestHandler } from '@sveltejs/kit';
import { problem } from '$server/http/endpoint';
import { Refusal } from '$server/platform/refusal';

/** Answers every address under /api that no operation has. */
export const fallback: RequestHandler = async ({ url }) =>
  problem(new Refusal(404, 'Not found', `There is nothing at ${url.pathname}. /api/openapi.json lists what there is.`));
