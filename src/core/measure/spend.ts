import type { Sheet } from '../dialect/sheet';
import type { Interval } from './wilson';

export interface Spend {
  amount: number;
  unit: string;
}

/** What searches and records cost at a source, which may have told so itself (`told`); null where nothing does. */
export const spendOn = (
  { price }: Pick<Sheet, 'price'>,
  searches: number,
  records: number,
  reply: number | null = null
): Spend | null =>
  price && { amount: reply ?? searches * price.perSearch + records * price.perRecord, unit: price.unit };

/** What a run will cost, before it is made: a record for each of the count, as far as each search shows. Null where nothing does. */
export function expectedSpend(
  sheet: Pick<Sheet, 'price' | 'limits'>,
  searches: number,
  count: Interval
): (Interval & { unit: string }) | null {
  const most = searches * (sheet.limits.shown ?? Infinity);
  const [low, high] = [count.low, count.high].map((records) => spendOn(sheet, searches, Math.min(records, most)));
  return low && high ? { low: low.amount, high: high.amount, unit: low.unit } : null;
}
