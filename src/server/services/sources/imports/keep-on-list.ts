import type { Transaction } from 'sequelize';
import { contactKeys, type Person } from '$core/people';
import { documentSchemas } from '$api/documents';
import type { ImportSettings } from '$api/import-shapes';
import { models, type ImportRow } from '../../../database/models';
import { peopleWithoutObjected } from '../../objections/objected';
import { eraseThose } from '../../objections/erase';
import { eachPerson, Ended, whatWasLeftOut, type Progress } from './each-person';

/** People on one list at most. */
const mostOnList = { contacted: 50_000, known: 20_000, objected: 2000 };
const names = { contacted: 'people contacted', known: 'known-goods', objected: 'people who objected' };

/** Keeps the people of a file on a list: of a brief, or of those who objected, of whom a keyed hash is kept and nothing else. */
export async function keepOnList(
  row: ImportRow,
  settings: ImportSettings,
  progress: Progress,
  transaction: Transaction
): Promise<void> {
  const { list, briefId } = settings.onto!;
  const people: Person[] = [];
  let nameless = 0;
  for await (const person of eachPerson(row, settings, progress)) {
    // By a name alone somebody else might be meant.
    if (contactKeys(person).length) people.push(person);
    else nameless++;
    if (people.length > mostOnList[list])
      throw new Ended(
        'refused',
        `A list of ${names[list]} holds at most ${mostOnList[list].toLocaleString('en')}, and this file has more. Nothing was kept. Split it.`
      );
  }
  const n = (count: number) => count.toLocaleString('en');
  const { added, there } =
    list === 'objected'
      ? { added: await eraseThose(people, transaction), there: 0 }
      : await addTo(list, briefId!, people, transaction);
  progress.outcome.message =
    [
      list === 'objected'
        ? `${n(added)} are never taken in again, and what was kept of them was erased`
        : `${n(added)} ${names[list]} added, ${n(there)} already there`,
      ...(nameless ? [`${n(nameless)} without a mail address or a name with a firm`] : []),
      ...whatWasLeftOut(progress)
    ].join(', ') + '.';
}

/** Adds people to a list of a brief, whoever else writes it meanwhile; those who are there stay as they are. */
async function addTo(list: 'contacted' | 'known', briefId: string, given: readonly Person[], transaction: Transaction) {
  const people = await peopleWithoutObjected('list', given, transaction);
  const row = await models().Document.findOne({ where: { briefId, kind: list }, transaction, lock: true });
  if (!row) throw new Ended('refused', 'The brief whose list it was to join was deleted meanwhile. Nothing was kept.');
  const before = documentSchemas[list].parse(row.body);
  const met = new Set(before.flatMap(contactKeys));
  const fresh: Person[] = [];
  for (const person of people) {
    const keys = contactKeys(person);
    if (!keys.some((key) => met.has(key))) fresh.push(person);
    for (const key of keys) met.add(key);
  }
  if (before.length + fresh.length > mostOnList[list])
    throw new Ended(
      'refused',
      `The list of ${names[list]} would hold more than ${mostOnList[list].toLocaleString('en')}. Nothing was kept.`
    );
  const body = [...before, ...fresh.map((person, i) => ({ ...person, id: `${list}-${before.length + i + 1}` }))];
  await row.update({ body, revision: row.revision + 1 }, { transaction });
  return { added: fresh.length, there: people.length - fresh.length };
}
