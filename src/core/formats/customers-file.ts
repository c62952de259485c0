import type { Person } from '../people/person';
import type { ColumnField } from './column-fields';
import { guessColumns } from './columns';
import { readCsv } from './csv';
import { personFromRow } from './person-from-row';

/** A table of customers or contacts as it was read, before its columns are settled. */
export interface CustomerTable {
  columns: { name: string; field: ColumnField; samples: string[] }[];
  rows: string[][];
}

const maxRows = 20_000;

/** Reads a CSV of customers, commas, semicolons or tabs between the cells. Throws an Error with a sentence where it is none. */
export function readCustomerTable(text: string): CustomerTable {
  const trimmed = text.replace(/^\ufeff/, '').trim();
  if (!trimmed) throw new Error('The file is empty. Choose a CSV of customers with a header row.');
  const rows = readCsv(trimmed, maxRows + 1);
  const [heading, ...body] = rows;
  if (!heading || heading.length < 2 || !body.length)
    throw new Error(
      'This isn’t a table of customers: it needs a header row with at least two columns, and rows below it.'
    );
  const fields = guessColumns(
    heading,
    heading.map((_, i) => body.slice(0, 20).map((row) => row[i] ?? ''))
  );
  return {
    columns: heading.map((name, i) => ({
      name,
      field: fields[i]!,
      samples: body.slice(0, 3).map((row) => row[i] ?? '')
    })),
    rows: body
  };
}

/** The customers of a table with its columns settled, and what is wrong with rows and cells that cannot be read. A firm replaces a missing name. */
export function customersOf({ columns, rows }: CustomerTable): {
  people: Person[];
  faults: { line: number; error: string }[];
} {
  const mapping = columns.map(({ field }) => field);
  const named = mapping.some((field) => field === 'name' || field === 'firstName' || field === 'lastName');
  const company = mapping.indexOf('company');
  const people: Person[] = [];
  const faults: { line: number; error: string }[] = [];
  rows.forEach((cells, i) => {
    const read =
      named || company < 0
        ? personFromRow(cells, mapping, `customer-${i + 1}`)
        : personFromRow([...cells, cells[company]], [...mapping, 'name'], `customer-${i + 1}`);
    if ('person' in read) {
      people.push(read.person);
      for (const { message } of read.faults) faults.push({ line: i + 2, error: message });
    } else faults.push({ line: i + 2, error: read.error });
  });
  return { people, faults };
}
