import { QueryTypes, type Transaction } from 'sequelize';
import type { KeptRecord } from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import type { Choice, Written } from './kept-row';

/** What of a kept person the columns follow from, and what is their own. */
export interface Whole {
  number: number;
  records: KeptRecord[];
  choice: Choice;
  written: Written;
  own: Record<string, unknown>;
}
/** The people of some numbers on a list, in that order. */
export const wholeRows = (id: string, numbers: readonly number[], transaction?: Transaction) =>
  database().query<Whole>(
    `SELECT number, records, choice, written, own FROM shortlist_people WHERE shortlist_id = $id AND number = ANY ($numbers::int[]) ORDER BY number`,
    { bind: { id, numbers: [...numbers] }, type: QueryTypes.SELECT, ...(transaction && { transaction }) }
  );
