import { UniqueConstraintError, type Transaction } from 'sequelize';
import { readSets, writeSetsCsv, writeSetsJson } from '$core/formats';
import { namedSetSchema, setNamesIn, type NamedSet } from '$core/language';
import { check } from '$server/platform/check';
import { database } from '$server/platform/database/connection';
import { models, type VersionSet, type WordSetRow } from '$server/platform/database/models';
import { changedElsewhere, notFound, refuse } from '$server/platform/refusals';
import type { StringText } from '$server/workers/people-messages';

/** The briefs whose string uses each set, by the set's name. */
async function uses(transaction: Transaction | null = null): Promise<Map<string, { id: string; name: string }[]>> {
  const [drafts, briefs] = await Promise.all([
    models().Document.findAll({ where: { kind: 'draft' }, transaction }),
    models().Brief.findAll({ transaction })
  ]);
  const names = new Map(briefs.map(({ id, name }) => [id, name]));
  const found = new Map<string, { id: string; name: string }[]>();
  for (const { briefId, body } of drafts)
    for (const set of setNamesIn((body as { text: string }).text))
      found.set(set, [...(found.get(set) ?? []), { id: briefId, name: names.get(briefId) ?? '' }]);
  return found;
}

const serialize = ({ name, kind, wordings, note, revision }: WordSetRow, usedIn: { id: string; name: string }[]) => ({
  name,
  kind,
  wordings,
  note,
  revision,
  usedIn
});

export async function listWordSets() {
  const [rows, used] = await Promise.all([models().WordSet.findAll({ order: ['kind', 'name'] }), uses()]);
  return rows.map((row) => serialize(row, used.get(row.name) ?? []));
}

async function findSet(name: string): Promise<WordSetRow> {
  const row = await models().WordSet.findByPk(name);
  if (!row) throw notFound('This word set');
  return row;
}

const inUse = (name: string, usedIn: readonly { name: string }[], what: string) =>
  refuse(
    'word-set-in-use',
    name,
    usedIn.map((brief) => brief.name),
    what
  ).with({ usedIn });

export async function createWordSet(given: NamedSet) {
  const set = check(namedSetSchema, given, 'what was sent');
  const row = await models()
    .WordSet.create(set)
    .catch((error: Error) => {
      if (!(error instanceof UniqueConstraintError)) throw error;
      throw refuse('word-set-name-taken', set.name);
    });
  return serialize(row, (await uses()).get(row.name) ?? []);
}

/**
 * Changes a set, and with it every string that uses it. Refused, with the briefs concerned, unless the person has seen
 * all of these (`seen`). Versions kept before stay as they were.
 */
export async function writeWordSet(
  name: string,
  change: Omit<NamedSet, 'name'> & { revision: number; seen: string[] }
) {
  await findSet(name);
  const usedIn = (await uses()).get(name) ?? [];
  if (usedIn.some(({ id }) => !change.seen.includes(id)))
    throw inUse(name, usedIn, 'This changes all of them; saved versions aren’t changed.');
  const { kind, note, revision } = change;
  const { wordings } = check(namedSetSchema.pick({ wordings: true }), change, 'what was sent');
  const [changed] = await models().WordSet.update(
    { kind, wordings, note, revision: revision + 1 },
    { where: { name, revision } }
  );
  const row = await findSet(name);
  if (!changed) throw changedElsewhere('This word set', serialize(row, usedIn));
  return serialize(row, usedIn);
}

export async function deleteWordSet(name: string): Promise<void> {
  await database().transaction(async (transaction) => {
    // Waits for a string that takes it up just now, so that it is among those that use it.
    const row = await models().WordSet.findByPk(name, { transaction, lock: true });
    if (!row) throw notFound('This word set');
    const usedIn = (await uses(transaction)).get(name) ?? [];
    if (usedIn.length) throw inUse(name, usedIn, 'Remove it from these strings first.');
    await row.destroy({ transaction });
  });
}

export async function exportWordSets(format: 'json' | 'csv') {
  const sets = await models().WordSet.findAll({ order: ['kind', 'name'] });
  const plain = sets.map(({ name, kind, wordings, note }) => ({ name, kind, wordings, note }));
  return { text: format === 'json' ? writeSetsJson(plain) : writeSetsCsv(plain) };
}

/** Takes sets out of a JSON or CSV file, all or none. Sets that are there already keep what they have and get what is new. */
export async function importWordSets(text: string) {
  let sets: NamedSet[];
  try {
    sets = readSets(text);
  } catch (error) {
    throw refuse('word-sets-unreadable', (error as Error).message);
  }
  const used = await uses();
  return database().transaction(async (transaction) => {
    const outcome = { added: 0, extended: 0, unchanged: 0, wordings: 0 };
    for (const set of sets) {
      const row = await models().WordSet.findByPk(set.name, { transaction, lock: true });
      if (!row) {
        await models().WordSet.create(set, { transaction });
        outcome.added++;
        outcome.wordings += set.wordings.length;
        continue;
      }
      const known = new Set(row.wordings.map((wording) => wording.toLowerCase()));
      const fresh = set.wordings.filter((wording) => !known.has(wording.toLowerCase()));
      if (!fresh.length) {
        outcome.unchanged++;
        continue;
      }
      const usedIn = used.get(set.name) ?? [];
      if (usedIn.length)
        throw inUse(
          set.name,
          usedIn,
          'So nothing was imported. Give the set in the file another name, or change it by hand.'
        );
      await row.update({ wordings: [...row.wordings, ...fresh], revision: row.revision + 1 }, { transaction });
      outcome.extended++;
      outcome.wordings += fresh.length;
    }
    return outcome;
  });
}

/** The sets that a text uses, as they are now. */
export async function setsOf(text: string): Promise<VersionSet[]> {
  const names = setNamesIn(text);
  if (!names.length) return [];
  const rows = await models().WordSet.findAll({ where: { name: names }, order: ['name'] });
  return rows.map(({ name, wordings }) => ({ name, wordings }));
}

/** A text with the sets it uses as they are now. */
export const stringOf = async (text: string): Promise<StringText> => ({ text, sets: await setsOf(text) });
