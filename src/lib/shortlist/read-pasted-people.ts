import { guessColumns, personFromRow, readCsv } from '$core/formats';
import type { Person } from '$core/people';
import { pasteRows as say } from './words';

interface Column {
  name: string;
  type: 'text' | 'number' | 'date' | 'choice' | 'yes/no';
  choices: readonly string[];
}
type Cell = string | number | boolean | null;

/**
 * Rows with a heading, of a spreadsheet or a CSV, as people and the cells for columns of a list's own; or a sentence on what is wrong.
 * Columns that are neither are `fresh`: they may become columns of the list, and their cells are there for it.
 */
export function readPastedPeople(
  text: string,
  columns: readonly Column[]
): { people: Person[]; own: Record<string, Cell>[]; fresh: Column[]; problem: string } {
  const none = (problem: string) => ({ people: [], own: [], fresh: [], problem });
  let rows: string[][];
  try {
    rows = readCsv(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return none((error as Error).message);
  }
  const [headers = [], ...body] = rows;
  if (!body.length) return none(say.noRows);
  const mapping = guessColumns(
    headers,
    headers.map((_, i) => body.slice(0, 50).map((cells) => cells[i] ?? ''))
  );
  if (!mapping.some((field) => ['name', 'firstName', 'lastName', 'person'].includes(field)))
    return none(say.noNameColumn(headers.join(', ').slice(0, 300)));
  const placeOf = (name: string) => headers.findIndex((header) => header.trim().toLowerCase() === name.toLowerCase());
  const fresh = headers.flatMap((header, i): Column[] => {
    const name = header.trim().slice(0, 200);
    const isKnown = columns.some((column) => column.name.toLowerCase() === name.toLowerCase());
    if (!name || mapping[i] !== 'ignore' || isKnown || placeOf(name) !== i) return [];
    return [{ name, type: typeOf(body.map((cells) => (cells[i] ?? '').trim()).filter(Boolean)), choices: [] }];
  });
  const at = [...columns, ...fresh].map((column) => ({ column, i: placeOf(column.name) }));
  const people: Person[] = [];
  const own: Record<string, Cell>[] = [];
  body.forEach((cells, i) => {
    const read = personFromRow(cells, mapping, `row-${i + 1}`);
    if (!('person' in read)) return;
    people.push(read.person);
    own.push(
      Object.fromEntries(
        at.flatMap(({ column, i: place }) => (place < 0 ? [] : [[column.name, cellOf(cells[place] ?? '', column)]]))
      )
    );
  });
  return people.length ? { people, own, fresh, problem: '' } : none(say.noNames);
}

/** What a column holds, by all its cells that hold something. */
function typeOf(cells: readonly string[]): Column['type'] {
  if (!cells.length) return 'text';
  for (const type of ['number', 'date'] as const)
    if (cells.every((cell) => cellOf(cell, { name: '', type, choices: [] }) !== null)) return type;
  return cells.every((cell) =>
    /^(yes|no|true|false|ja|nein|nej|oui|non|sí|si|sim|não|tak|nie|kyllä|ei|ano|ne)$/i.test(cell)
  )
    ? 'yes/no'
    : 'text';
}

/** A cell as its column holds it; null where it is not what the column holds. */
function cellOf(text: string, { type, choices }: Column): Cell {
  const plain = text.trim();
  if (!plain) return null;
  if (type === 'number') {
    const number = Number(plain.replace(',', '.'));
    return Number.isFinite(number) ? number : null;
  }
  if (type === 'date') return /^\d{4}-\d{2}-\d{2}$/.test(plain) ? plain : null;
  if (type === 'yes/no') return /^(yes|y|true|1|ja|oui|sí|si|sim|tak|kyllä|ano)$/i.test(plain);
  if (type === 'choice') return choices.find((choice) => choice.toLowerCase() === plain.toLowerCase()) ?? null;
  return plain.slice(0, 2000);
}
