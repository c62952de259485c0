import * as z from 'zod';
import { namedSetSchema, type NamedSet } from '../language/named-sets';
import { readCsvRecords, writeCsv } from './csv';

const columns = ['set', 'kind', 'wording', 'note'] as const;

/** Named word sets as JSON: an array of sets, as `namedSetSchema` says. */
export const writeSetsJson = (sets: readonly NamedSet[]): string =>
  `${JSON.stringify(
    sets.map(({ name, kind, wordings, note }) => ({ name, kind, wordings, note })),
    null,
    2
  )}\n`;

/** Named word sets as CSV (RFC 4180), a wording a row; no cell starts a formula. `readSets` reads it back. */
export const writeSetsCsv = (sets: readonly NamedSet[]): string =>
  writeCsv(
    columns,
    sets.flatMap(({ name, kind, wordings, note }) => wordings.map((wording) => [name, kind, wording, note]))
  );

/**
 * Sets out of a file, JSON or CSV by its first sign. A CSV needs the columns set and wording; kind and note are optional.
 * Throws an Error with a sentence for people where the file is neither.
 */
export function readSets(text: string): NamedSet[] {
  const trimmed = text.replace(/^\ufeff/, '').trim();
  if (!trimmed) throw new Error('The file is empty. Choose a JSON or CSV file of word sets.');
  return trimmed.startsWith('[') || trimmed.startsWith('{') ? readJson(trimmed) : readTable(trimmed);
}

function readJson(text: string): NamedSet[] {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new Error('The file looks like JSON but isn’t valid. Export a set here to see the format.');
  }
  return checked(Array.isArray(value) ? value : [value]);
}

function readTable(text: string): NamedSet[] {
  const rows = readCsvRecords(text);
  if (!rows.length || rows[0]!.set === undefined || rows[0]!.wording === undefined)
    throw new Error('The CSV needs a header row with the columns set and wording; kind and note are optional.');
  const sets = new Map<string, { name: string; kind: string; wordings: string[]; note: string }>();
  for (const row of rows) {
    const name = (row.set ?? '').trim();
    const wording = (row.wording ?? '').trim();
    if (!name && !wording) continue;
    const set = sets.get(name.toLowerCase()) ?? {
      name,
      kind: row.kind?.trim() || 'wanted',
      wordings: [],
      note: row.note ?? ''
    };
    sets.set(name.toLowerCase(), set);
    if (wording) set.wordings.push(wording);
  }
  return checked([...sets.values()]);
}

function checked(values: unknown[]): NamedSet[] {
  const read = z.array(namedSetSchema).max(1000).safeParse(values);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  const at = typeof issue!.path[0] === 'number' ? (values[issue!.path[0]] as { name?: unknown })?.name : undefined;
  throw new Error(
    `${at ? `In the set “${String(at)}”: ` : ''}${issue!.path.slice(1).join('.') || 'set'}: ${issue!.message}`
  );
}
