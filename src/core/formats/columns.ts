import * as z from 'zod';
import { foldDiacritics } from '../language/fold-diacritics';
import { fold } from '../language/tokens';
import { ownNameOf } from '../people/own-fields';
import { countryCode } from '../people/countries';
import { columnFieldSchema, columnFields, isOwnColumn, type ColumnField } from './column-fields';
import { guessOwnColumn, readDate } from './own-columns';
import headingsData from './data/headings.json';
import { shipped } from '../language/shipped-data';

/** Headings that people give such columns, in the languages of the lexicon. Common practice, no published source. */
const headings = shipped(z.partialRecord(columnFieldSchema, z.array(z.string().min(1)).min(1)), headingsData);

const keyOf = (heading: string) => fold(heading).replaceAll(/[^\p{L}\p{N}]/gu, '');
const byHeading = new Map(
  (Object.entries(headings) as [ColumnField, readonly string[]][]).flatMap(([field, names]) =>
    names.map((name) => [keyOf(name), field] as const)
  )
);

/** The same without diacritics, which many files have lost; headings that would be two things are left out. */
const byPlainHeading = new Map<string, ColumnField | null>();
for (const [key, field] of byHeading) {
  const plain = foldDiacritics(key);
  const known = byPlainHeading.get(plain);
  byPlainHeading.set(plain, known === undefined || known === field ? field : null);
}
const fieldOf = (heading: string) => {
  const key = keyOf(heading);
  return byHeading.get(key) ?? byPlainHeading.get(foldDiacritics(key)) ?? null;
};

/** The field that a heading names, alone or with words around it (`Contact: E-mail (work)`); null where none is named. */
function byName(heading: string): ColumnField | null {
  const whole = fieldOf(heading);
  if (whole) return whole;
  // What is in brackets or before a colon says more of the whole than of the column.
  const inner = heading.replaceAll(/\([^()]{0,200}\)|\[[^[\]]{0,200}\]/g, ' ').replace(/^.*[:/|]/, ' ');
  return fieldOf(inner);
}

const shapes: [ColumnField, (cell: string) => boolean][] = [
  ['mail', (cell) => /^[^\s@]+@[^\s@.]+(?:\.[^\s@.]+)+$/.test(cell)],
  ['url', (cell) => /^(?:https?:\/\/|www\.)\S+$/i.test(cell)],
  // In small letters `no` is no country.
  ['country', (cell) => (cell.length > 2 || cell === cell.toUpperCase()) && countryCode(cell) !== undefined],
  [
    'phone',
    (cell) => /^\+?[\d\s()/.-]{7,20}$/.test(cell) && cell.replaceAll(/\D/g, '').length >= 7 && readDate(cell) === null
  ],
  ['headcount', (cell) => /^\d[\d.,\s]*[-–]\s*\d[\d.,\s]*\+?$/.test(cell)]
];
/** What a column holds by its cells alone: nearly all of them have the shape, and there are some. */
function byCells(cells: readonly string[]): ColumnField | null {
  const reply = cells.map((cell) => cell.trim()).filter(Boolean);
  if (!reply.length) return null;
  return shapes.find(([, holds]) => reply.filter(holds).length >= 0.8 * reply.length)?.[0] ?? null;
}
/** Fields that their cells show beyond doubt: a heading that says otherwise is wrong. */
const beyondDoubt: ReadonlySet<ColumnField> = new Set(['mail', 'url']);

/**
 * The likely field of each column by its heading, in any language of the lexicon, and by what is in it: `cells` are some
 * of each column's. No field twice, except page addresses: the one whose heading says so goes first.
 */
export function guessColumns(names: readonly string[], cells: readonly (readonly string[])[] = []): ColumnField[] {
  const guessed = names.map((name, i) => {
    const named = byName(name);
    const shown = byCells(cells[i] ?? []);
    if (shown && (named === null || (beyondDoubt.has(shown) && named !== shown))) return { field: shown, sure: false };
    return { field: named ?? ('ignore' as const), sure: true };
  });
  // `Nom` beside `Prénom` is a family name, alone a whole one; the same of a given name alone.
  const has = (field: ColumnField) => guessed.some((one) => one.field === field);
  const halves: [ColumnField, ColumnField][] = [
    ['lastName', 'firstName'],
    ['firstName', 'lastName']
  ];
  for (const [half, other] of halves)
    if (has(half) && !has(other) && !has('name'))
      for (const one of guessed)
        if (one.field === half && !/^(?:first|last|given|family|sur|fore)/i.test(names[guessed.indexOf(one)]!))
          one.field = 'name';
  const taken = new Set<ColumnField>();
  const give = (sure: boolean) =>
    guessed.forEach((one) => {
      if (one.sure !== sure || one.field === 'ignore') return;
      if (taken.has(one.field) && one.field !== 'url') one.field = 'ignore';
      taken.add(one.field);
    });
  give(true);
  give(false);
  return guessed.map(({ field }) => field);
}

/** `guessColumns`, and the columns that match nothing as fields of the file's own; those without a heading stay out. */
export const guessAllColumns = (names: readonly string[], cells: readonly (readonly string[])[]): ColumnField[] =>
  guessColumns(names, cells).map((field, i) =>
    field === 'ignore' && ownNameOf(names[i]!) ? guessOwnColumn(cells[i] ?? []) : field
  );

/** Why a mapping cannot name people, or firms where `firms` are wanted; null when it can. */
export function mappingFault(mapping: readonly ColumnField[], firms = false): string | null {
  const has = (field: ColumnField) => mapping.includes(field);
  if (has('person')) return null;
  if (firms && !has('company')) return 'Couldn’t find a firm column. Choose one.';
  if (!firms && !has('name') && !has('lastName') && !has('firstName'))
    return 'Couldn’t find a name column. Choose the name column, or first and last name.';
  const several = (field: ColumnField) => field === 'ignore' || field === 'url' || isOwnColumn(field);
  const twice = mapping.find((field, i) => !several(field) && mapping.indexOf(field) !== i);
  return twice ? `Two columns are set to “${columnFields[twice]}”. Choose one.` : null;
}
