import { readDay } from '../language/days';
import { ownNameOf, type OwnValue } from '../people/own-fields';
import { isOwnColumn, type ColumnField, type OwnColumn } from './column-fields';
import { readMonth } from './read-month';
import { trimSigns } from '../language/trim-signs';

/** Yes and no in the languages of the lexicon, and as files tick them. */
const yes = new Set('yes y ja j oui o sí si s sim sì tak t kyllä k ano a true x ✓ ✔ 1'.split(' '));
const no = new Set('no n nein nej nee nei non não nao nie ei e ne false ✗ 0 -'.split(' '));

const readYesNo = (text: string): boolean | null => {
  const word = text.trim().toLowerCase();
  return yes.has(word) ? true : no.has(word) ? false : null;
};

/** A number with or without a fraction as files write it: `1.234,5`, `1,234.5`, `€ 45`, `12 %`. Null for what is none. */
export function readDecimal(text: string): number | null {
  const bare = trimSigns(text, (sign) => /[\s€$£%]/.test(sign)).replaceAll(
    /(?<=\d)[\s'’\u00a0\u202f](?=\d{3}(?!\d))/g,
    ''
  );
  const signs = bare.replaceAll(/[^.,]/g, '');
  const grouped = /^-?\d{1,3}(?:([.,])\d{3})+(?:(?!\1)[.,]\d+)?$/.test(bare);
  const last = signs.at(-1) ?? '.';
  // One sign with three figures behind it parts thousands; any other last sign begins the fraction.
  const whole = grouped && new Set(signs).size === 1;
  const plain = whole ? bare.replaceAll(/[.,]/g, '') : bare.replaceAll(last === ',' ? '.' : ',', '').replace(last, '.');
  return /^-?\d+(?:\.\d+)?$/.test(plain) ? Number(plain) : null;
}

/** The day of a date as files write it, in ISO 8601; of one without a day the first. Day first, unless the second cannot be a month. */
export function readDate(text: string): string | null {
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[t\s].*)?$/i.exec(text.trim());
  const written = /^(\d{1,2})[-/.]\s?(\d{1,2})[-/.]\s?(\d{4})$/.exec(text.trim());
  const worded = /^(\d{1,2})\.?\s+\D/.exec(text.trim());
  const month = readMonth(text);
  if (month === null || month.length === 4) return null;
  const day = iso
    ? Number(iso[3])
    : written
      ? Number(Number(written[2]) <= 12 ? written[1] : written[2])
      : worded
        ? Number(worded[1])
        : 1;
  const date = `${month}-${String(day).padStart(2, '0')}`;
  return readDay(date) === null ? null : date;
}

const readers: Record<OwnColumn, (text: string) => OwnValue | null> = {
  ownText: (text) => text,
  ownNumber: readDecimal,
  ownDate: readDate,
  ownYesNo: readYesNo
};
const kinds: Record<OwnColumn, string> = {
  ownText: 'a text',
  ownNumber: 'a number',
  ownDate: 'a date',
  ownYesNo: 'yes or no'
};

/** What a cell of a column of the file's own holds, or why it does not hold what the column does. */
export function readOwn(column: OwnColumn, text: string): { value: OwnValue } | { fault: string } {
  const value = readers[column](text);
  return value === null ? { fault: `is not ${kinds[column]}` } : { value };
}

/** Share of a column's cells that have to read as numbers or dates: some file always has an `unknown` among them. */
const mostly = 0.6;

/** What a column that matches no field holds, by its cells: dates, yes or no, numbers, or else texts. */
export function guessOwnColumn(cells: readonly string[]): OwnColumn {
  const reply = cells.map((cell) => cell.trim()).filter(Boolean);
  const share = (column: OwnColumn) => reply.filter((cell) => readers[column](cell) !== null).length / reply.length;
  const isCode = reply.some((cell) => /^0\d|^\+/.test(cell));
  if (!reply.length) return 'ownText';
  if (share('ownDate') >= mostly) return 'ownDate';
  if (reply.some((cell) => !/^\d$/.test(cell)) && share('ownYesNo') === 1) return 'ownYesNo';
  return share('ownNumber') >= mostly && !isCode ? 'ownNumber' : 'ownText';
}

/** The name of each column that is a field of the file's own; null for the others. Names that two would have get numbers. */
export function ownNamesOf(headings: readonly string[], mapping: readonly ColumnField[]): (string | null)[] {
  const taken = new Set<string>();
  return mapping.map((field, i) => {
    if (!isOwnColumn(field)) return null;
    const name = ownNameOf(headings[i] ?? '') || `column_${i + 1}`;
    let free = name;
    for (let n = 2; taken.has(free); n++) free = `${name.slice(0, 55)}_${n}`;
    taken.add(free);
    return free;
  });
}
