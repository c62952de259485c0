import { error } from '@sveltejs/kit';
import type { OperationName } from '$api/paths';
import { ApiProblem, call } from './call';

/** How a page that loads asks the API: what it is refused becomes the page's error screen. */
export const asking =
  (fetch: typeof globalThis.fetch) =>
  async <K extends OperationName>(name: K, input: Parameters<typeof call<K>>[1] = {}) => {
    try {
      return await call(name, { ...input, fetch });
    } catch (problem) {
      if (problem instanceof ApiProblem) error(problem.status || 503, problem.message);
      throw problem;
    }
  };
