import { error } from '@sveltejs/kit';
import { ApiProblem } from './call';

/** Turns a refusal met while a page loads into the page's error screen. */
export async function orErrorPage<T>(asked: Promise<T>): Promise<T> {
  try {
    return await asked;
  } catch (problem) {
    if (problem instanceof ApiProblem) error(problem.status || 503, problem.message);
    throw problem;
  }
}
