import type { Transaction } from 'sequelize';
import { contactKeys, type Person } from '$core/people';
import type { ImportSettings } from '$api/import-shapes';
import type { ImportRow } from '$server/platform/database/models';
import { addToList } from '$server/features/briefs/people-lists';
import { eraseThose } from '$server/records/objections/erase';
import { eachPerson, Ended, whatWasLeftOut, type Progress } from './each-person';

/** People on one list at most. */
const maxOnList = { contacted: 50_000, known: 20_000, objected: 2000 };
const names = { contacted: 'people contacted', known: 'known-goods', objected: 'people who objected' };

/** Adds the people of a file to a list of a brief, or to the objections, which store only a keyed hash of each. */
export async function keepOnList(
  row: ImportRow,
  settings: ImportSettings,
  progress: Progress,
  transaction: Transaction
): Promise<void> {
  const { list, briefId } = settings.onto as { list: keyof typeof names; briefId: string | null };
  const people: Person[] = [];
  let nameless = 0;
  for await (const person of eachPerson(row, settings, progress)) {
    // By a name alone somebody else might be meant.
    if (contactKeys(person).length) people.push(person);
    else nameless++;
    if (people.length > maxOnList[list])
      throw new Ended(
        'refused',
        `A list of ${names[list]} holds at most ${maxOnList[list].toLocaleString('en')}, and this file has more. Nothing was kept. Split it.`
      );
  }
  const n = (count: number) => count.toLocaleString('en');
  const { added, there } =
    list === 'objected'
      ? { added: await eraseThose(people, transaction), there: 0 }
      : await addToList(briefId!, list, people, transaction, (at) => `${list}-${at + 1}`);
  progress.outcome.message =
    [
      list === 'objected'
        ? `${n(added)} are never taken in again, and what was kept of them was erased`
        : `${n(added)} ${names[list]} added, ${n(there)} already there`,
      ...(nameless ? [`${n(nameless)} without a mail address or a name with a firm`] : []),
      ...whatWasLeftOut(progress)
    ].join(', ') + '.';
}
