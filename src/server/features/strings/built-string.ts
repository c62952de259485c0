import { askPeople } from '$server/workers/people';
import { readDocument } from '$server/features/briefs/briefs';

/** The string that a brief's persona and wording make, laid out; empty while they say nothing. */
export async function builtString(briefId: string) {
  const [persona, wording] = await Promise.all([readDocument(briefId, 'persona'), readDocument(briefId, 'wording')]);
  return askPeople('build-string', { persona: persona.body, wording: wording.body });
}
