import { buildString } from '$core/persona';
import { layOut } from '$core/query';
import { readDocument } from './briefs';

/** The string that a brief's persona and wording make, laid out; empty while they say nothing. */
export async function builtString(briefId: string) {
  const [persona, wording] = await Promise.all([readDocument(briefId, 'persona'), readDocument(briefId, 'wording')]);
  const query = buildString(persona.body, wording.body);
  return { text: query ? layOut(query) : '' };
}
