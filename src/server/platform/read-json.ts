import { isDeep, parseWellFormed } from '$core/formats';
import { refuse } from './refusals';

/** Most levels of lists and objects in a body. */
const deepest = 64;

/** What was sent as JSON, refused with a sentence where it is none. */
export function readJson(text: string, most = deepest): unknown {
  if (isDeep(text, most)) throw refuse('too-deep', most);
  try {
    return parseWellFormed(text);
  } catch {
    throw refuse('not-json');
  }
}
