import type { Transaction } from 'sequelize';
import { personFromRow } from '$core/formats';
import { firmKey } from '$core/people';
import type { ImportSettings } from '$api/import-shapes';
import type { ImportRow } from '$server/platform/database/models';
import { addCustomers, maxCustomers } from '$server/features/shortlist/customers';
import { eachRow, Ended, type Progress } from './each-person';

/** Adds the firms of a file to a brief's customers, which its shortlists exclude. Rows of people count for their firm. */
export async function keepCustomers(
  row: ImportRow,
  { mapping, onto }: ImportSettings,
  progress: Progress,
  transaction: Transaction
): Promise<void> {
  const firms = new Map<string, string>();
  const ownNames = mapping.map(() => null);
  const at = mapping.indexOf('company');
  let without = 0;
  for await (const read of eachRow(row, progress)) {
    const firm =
      'error' in read ? '' : at >= 0 ? String(read.cells[at] ?? '') : firmOfPerson(read.cells, mapping, ownNames);
    const key = firmKey(firm);
    if (!key) without++;
    else if (!firms.has(key)) firms.set(key, firm.trim().slice(0, 200));
    if (firms.size > maxCustomers)
      throw new Ended(
        'refused',
        `A list of customers holds at most ${maxCustomers.toLocaleString('en')}, and this file has more. Nothing was kept. Split it.`
      );
  }
  if (!firms.size) throw new Ended('refused', 'None of the rows has a firm, so nothing was saved.');
  const { added, there } = await addCustomers(onto!.briefId!, [...firms.values()], transaction);
  const n = (count: number) => count.toLocaleString('en');
  progress.outcome.message =
    [
      `${n(added)} customers added, ${n(there)} already there`,
      ...(without ? [`${n(without)} rows without a firm`] : [])
    ].join(', ') + '.';
}

function firmOfPerson(
  cells: readonly unknown[],
  mapping: ImportSettings['mapping'],
  ownNames: readonly (string | null)[]
): string {
  const read = personFromRow(cells, mapping, 'row', ownNames);
  return ('person' in read && read.person.jobs?.[0]?.company) || '';
}
