import { models, type NoteRow } from '$server/platform/database/models';
import type { RecordName } from '$server/workers/people-messages';
import { findBrief } from '$server/features/briefs/briefs';
import { writeRevisioned } from '$server/platform/database/revisioned-row';

const serialize = ({ text, revision }: NoteRow) => ({ text, revision });

/** Notes of a persona on people of one source, by person. */
export async function notesOn(personaId: string, sourceId: string, personIds: readonly string[]) {
  const rows = await models().Note.findAll({ where: { personaId, sourceId, personId: [...personIds] } });
  return new Map(rows.map((row) => [row.personId, serialize(row)]));
}

/** Writes the note on a person, or (with nothing in it) takes it away; one written elsewhere meanwhile is not overwritten. */
export async function writeNote(briefId: string, given: RecordName & { text: string; revision: number }) {
  const { personaId } = await findBrief(briefId);
  const { sourceId, personId, revision } = given;
  const text = given.text.trim();
  return writeRevisioned(models().Note, { personaId, sourceId, personId }, text ? { text } : null, revision, {
    name: 'This note',
    serialize
  });
}
