import { UniqueConstraintError } from 'sequelize';
import { models } from '../database/models';
import { changedElsewhere } from '../refusal';
import type { RecordName } from '../workers/people-messages';
import { findBrief } from './briefs';

/** Notes of a persona on people of one source, by person. */
export async function notesOn(personaId: string, sourceId: string, personIds: readonly string[]) {
  const rows = await models().Note.findAll({ where: { personaId, sourceId, personId: [...personIds] } });
  return new Map(rows.map(({ personId, text, revision }) => [personId, { text, revision }]));
}

/** Writes the note on a person, or (with nothing in it) takes it away; one written elsewhere meanwhile is not overwritten. */
export async function writeNote(briefId: string, given: RecordName & { text: string; revision: number }) {
  const { personaId } = await findBrief(briefId);
  const { Note } = models();
  const where = { personaId, sourceId: given.sourceId, personId: given.personId };
  const text = given.text.trim();
  const { revision } = given;
  const refuse = async () => {
    const current = await Note.findOne({ where });
    return changedElsewhere('This note', current && { text: current.text, revision: current.revision });
  };
  if (!text) {
    const removed = await Note.destroy({ where: { ...where, revision } });
    if (!removed && (await Note.count({ where }))) throw await refuse();
    return null;
  }
  if (revision === 0)
    try {
      await Note.create({ ...where, text });
      return { text, revision: 1 };
    } catch (error) {
      if (error instanceof UniqueConstraintError) throw await refuse();
      throw error;
    }
  const [changed] = await Note.update({ text, revision: revision + 1 }, { where: { ...where, revision } });
  if (!changed) throw await refuse();
  return { text, revision: revision + 1 };
}
