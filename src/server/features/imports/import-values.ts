import { QueryTypes, type Transaction } from 'sequelize';
import {
  columnFields,
  isStandard,
  isStandardField,
  standardList,
  standardOf,
  writtenKey,
  type ColumnField,
  type StandardField
} from '$core/formats';
import type { FileValue, Reading, ValueMeaning } from '$api/import-shapes';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import { notFound, refuse } from '$server/platform/refusals';
import { runThread } from '$server/workers/threads';
import { readRows } from './read-table';
import { pathOf } from './upload-files';

/** Most distinct values of one column in an answer. */
const maxValues = 500;

/** A value met in a file: how often, by its field and its key. */
export interface ValueMet {
  field: StandardField;
  text: string;
  rows: number;
}

/** The different values of a file's columns that are brought to standard lists, the most frequent first; for its own thread. */
export async function valuesMet(
  id: string,
  reading: Reading,
  mapping: readonly ColumnField[]
): Promise<{ values: ValueMet[]; more: number }> {
  const columns = mapping.flatMap((field, i) => (isStandardField(field) ? [{ field, i }] : []));
  const met = new Map(columns.map(({ field }) => [field, new Map<string, ValueMet>()]));
  for await (const row of readRows(pathOf(id), reading)) {
    if ('error' in row) continue;
    for (const { field, i } of columns) {
      const cell = row.cells[i];
      const text = typeof cell === 'string' || typeof cell === 'number' ? String(cell).trim() : '';
      if (!text || text.length > 300) continue;
      const key = writtenKey(text);
      const one = met.get(field)!.get(key);
      if (one) one.rows++;
      else met.get(field)!.set(key, { field, text, rows: 1 });
    }
  }
  let more = 0;
  const values = [...met.values()].flatMap((byKey) => {
    const sorted = [...byKey.values()].sort((a, b) => b.rows - a.rows);
    more += Math.max(0, sorted.length - maxValues);
    return sorted.slice(0, maxValues);
  });
  return { values, more };
}

/** What values of files were said to mean before, by field and key. */
async function chosenBefore(): Promise<Map<string, string | null>> {
  const rows = await database().query<{ field: string; written: string; standard: string | null }>(
    'SELECT field, written, standard FROM value_meanings',
    { type: QueryTypes.SELECT }
  );
  return new Map(rows.map(({ field, written, standard }) => [`${field} ${written}`, standard]));
}

/** The values of an uploaded file that are brought to standard lists, each as it would be read. */
export async function readImportValues(
  id: string,
  mapping: readonly ColumnField[]
): Promise<{
  values: FileValue[];
  lists: Partial<Record<StandardField, ReturnType<typeof standardList>>>;
  more: number;
}> {
  const waiting = async () => {
    const row = await models().Import.findByPk(id);
    if (!row) throw notFound('This import');
    if (row.state !== 'ready') throw refuse('already-imported');
    return row;
  };
  const { reading } = await waiting();
  const [{ values, more }, memory] = await Promise.all([
    runThread<{ values: ValueMet[]; more: number }>('import-values-worker.js', { id, reading, mapping }).catch(
      async (problem: unknown) => {
        // The file goes when its import is over: it may have been started meanwhile.
        await waiting();
        throw problem;
      }
    ),
    chosenBefore()
  ]);
  return {
    values: values.map(({ field, text, rows }): FileValue => {
      const chosen = memory.get(`${field} ${writtenKey(text)}`);
      if (chosen !== undefined) return { field, text, rows, standard: chosen, by: 'memory' };
      const found = standardOf(field, text);
      return { field, text, rows, standard: found?.value ?? null, by: found && (found.sure ? 'name' : 'likeness') };
    }),
    lists: Object.fromEntries(
      [...new Set(values.map(({ field }) => field))].map((field) => [field, standardList(field)])
    ),
    more
  };
}

/** Refuses a meaning that is on no standard list. */
export function checkMeanings(values: readonly ValueMeaning[]): void {
  const wrong = values.find(({ field, standard }) => standard !== null && !isStandard(field, standard));
  if (wrong) throw refuse('value-not-listed', wrong.standard!, columnFields[wrong.field], wrong.text.slice(0, 60));
}

/** Keeps what was chosen for values whose names say nothing or something else, for the next file. */
export async function rememberMeanings(values: readonly ValueMeaning[], transaction: Transaction): Promise<void> {
  const chosen = values.filter(({ field, text, standard }) => {
    const found = standardOf(field, text);
    return !(found?.sure && found.value === standard) && !(found === null && standard === null);
  });
  if (!chosen.length) return;
  await database().query(
    `INSERT INTO value_meanings (field, written, standard)
     SELECT DISTINCT ON (field, written) field, written, standard
     FROM jsonb_to_recordset($values::jsonb) AS _ (field text, written text, standard text)
     ON CONFLICT (field, written) DO UPDATE SET standard = excluded.standard, changed_at = now()`,
    {
      bind: {
        values: JSON.stringify(
          chosen.map(({ field, text, standard }) => ({ field, written: writtenKey(text), standard }))
        )
      },
      transaction
    }
  );
}

/**
 * Brings the cells of a row to the standard lists: as was chosen for them, or else by their names. Cells that mean nothing
 * known stay as they are written.
 */
export function standardizer(
  mapping: readonly ColumnField[],
  values: readonly ValueMeaning[]
): (cells: readonly unknown[]) => unknown[] {
  const chosen = new Map(values.map(({ field, text, standard }) => [`${field} ${writtenKey(text)}`, standard]));
  const known = new Map<string, string>();
  const becomes = (field: StandardField, text: string): string => {
    const name = `${field} ${text}`;
    let value = known.get(name);
    if (value === undefined) {
      const reply = chosen.get(`${field} ${writtenKey(text)}`);
      const found = reply === undefined ? standardOf(field, text) : null;
      value = reply ?? (found?.sure ? found.value : text);
      if (known.size > 100_000) known.clear();
      known.set(name, value);
    }
    return value;
  };
  const columns = mapping.map((field) => (isStandardField(field) ? field : null));
  return (cells) =>
    cells.map((cell, i) => {
      const field = columns[i];
      return field && typeof cell === 'string' && cell.trim() ? becomes(field, cell.trim()) : cell;
    });
}
