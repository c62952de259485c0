import { Op, type Transaction } from 'sequelize';
import { isOwnScope, type OwnScope } from '$core/language';
import { hashText } from '$core/measure';
import { maxOwn, ownScopeOf, personSchema, type Person } from '$core/people';
import { importedSheet, listedByColumns } from '$sources/imported-file';
import type { ImportSettings } from '$api/import-shapes';
import { database } from '$server/platform/database/connection';
import { models, type ImportRow } from '$server/platform/database/models';
import { peopleWithoutObjected } from '$server/records/objections/objected';
import { eachPerson, Ended, whatWasLeftOut, type Progress } from './each-person';

/** Rows written in one statement. */
const batch = 1000;

const fingerprint = (person: Person) => hashText(JSON.stringify(person));

/** What the people of a source were, by id. */
async function fingerprints(sourceId: string, transaction: Transaction): Promise<Map<string, number>> {
  const known = new Map<string, number>();
  for (let from = 0; ; from += batch) {
    const rows = await models().SourcePerson.findAll({
      where: { sourceId, ordinal: { [Op.gte]: from, [Op.lt]: from + batch } },
      transaction
    });
    if (!rows.length) return known;
    // PostgreSQL keeps JSON with its keys in its own order: read by the schema, both are in one order.
    for (const { person } of rows) known.set(person.id, fingerprint(personSchema.parse(person)));
  }
}

/** Keeps the people of a file as a source, or in the place of those of one there is; gives its id. */
export async function keepAsSource(
  row: ImportRow,
  settings: ImportSettings,
  progress: Progress,
  transaction: Transaction
): Promise<string> {
  const { name, mapping, into } = settings;
  const { outcome } = progress;
  const sourceId = into ?? `file-${row.id}`;
  const { Source, SourcePerson } = models();
  // A newer file waits for one before it that takes the place of the same people.
  const source =
    into === null
      ? await Source.create(
          {
            id: sourceId,
            kind: 'file',
            name,
            sheet: importedSheet(sourceId, name, listedByColumns(mapping)),
            people: 0
          },
          { transaction }
        )
      : await Source.findByPk(into, { transaction, lock: true });
  if (!source) throw new Ended('refused', 'The source to update was deleted in the meantime. Nothing was saved.');
  const before = into === null ? null : await fingerprints(into, transaction);
  if (into !== null) await SourcePerson.destroy({ where: { sourceId: into }, transaction });
  const changes = { came: 0, changed: 0 };
  let waiting: Person[] = [];
  const ownMet = new Set<OwnScope>();
  let kept = 0;
  let objected = 0;
  const flush = async () => {
    const allowed = await peopleWithoutObjected(sourceId, waiting, transaction);
    objected += waiting.length - allowed.length;
    kept -= waiting.length - allowed.length;
    waiting = allowed;
    await database().query(
      `INSERT INTO source_people (source_id, ordinal, person)
           SELECT $source, $from::int + place - 1, person FROM jsonb_array_elements($people::jsonb) WITH ORDINALITY AS _ (person, place)`,
      { bind: { source: sourceId, from: kept - waiting.length, people: JSON.stringify(waiting) }, transaction }
    );
    waiting = [];
  };
  for await (const person of eachPerson(row, settings, progress)) {
    if (before) {
      const was = before.get(person.id);
      if (was === undefined) changes.came++;
      else if (was !== fingerprint(personSchema.parse(person))) changes.changed++;
      before.delete(person.id);
    }
    for (const own in person.own) if (ownMet.size < maxOwn) ownMet.add(ownScopeOf(own));
    waiting.push(person);
    kept++;
    if (waiting.length === batch) await flush();
  }
  await flush();
  if (!kept) throw new Ended('refused', 'None of the rows could be read as a person, so nothing was saved.');
  const n = (count: number) => count.toLocaleString('en');
  outcome.message =
    [
      before
        ? `${n(kept)} people: ${n(changes.came)} came, ${n(changes.changed)} changed, ${n(before.size)} left`
        : `${n(kept)} people imported`,
      ...(objected ? [`${n(objected)} objected before and were not taken in`] : []),
      ...whatWasLeftOut(progress)
    ].join(', ') + '.';
  await source.update(
    {
      people: kept,
      peopleRevision: source.peopleRevision + 1,
      sheet: { ...source.sheet, lists: [...source.sheet.lists.filter((scope) => !isOwnScope(scope)), ...ownMet] }
    },
    { transaction }
  );
  return sourceId;
}
