import { isDeep, parseWellFormed } from '$core/formats';
import { Refusal } from './refusal';

/** Most levels of lists and objects in a body. */
const deepest = 64;

/** What was sent as JSON, refused with a sentence where it is none. */
export function readJson(text: string, most = deepest): unknown {
  if (isDeep(text, most))
    throw new Refusal(400, 'Too deep', `What was sent has lists or objects more than ${most} levels deep.`);
  try {
    return parseWellFormed(text);
  } catch {
    throw new Refusal(400, 'Not JSON', 'What was sent is not valid JSON.');
  }
}
