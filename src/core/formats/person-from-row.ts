import { personSchema, type Person } from '../people/person';
import { countryCode } from '../people/countries';
import { industryCode } from '../people/industries';
import { withPlaceRead } from '../people/read-place';
import type { OwnValue } from '../people/own-fields';
import { languageCode } from '../people/languages';
import { isOwnColumn, type ColumnField } from './column-fields';
import { readOwn } from './own-columns';
import { readMonth } from './read-month';
import { trimSigns } from '../language/trim-signs';

/** A cell that cannot be what its column says: the person is kept without it. */
export interface CellFault {
  field: ColumnField;
  message: string;
}
export type RowResult = { person: Person; faults: CellFault[] } | { error: string };

/**
 * A person out of one row of a file. `cells` are in the order of `mapping`; `key` names the row where the file has no
 * key of its own. A cell that can't be what its column says is left out and reported as a fault; empty cells, and those that say
 * that nothing is known, are left out. Only a row that names nobody is an error. `ownNames` are the names of the columns that
 * are fields of the file's own (`ownNamesOf`).
 */
export function personFromRow(
  cells: readonly unknown[],
  mapping: readonly ColumnField[],
  key: string,
  ownNames: readonly (string | null)[] = []
): RowResult {
  const cell = (field: ColumnField) => reply(textOf(cells[mapping.indexOf(field)]));
  const whole = cells[mapping.indexOf('person')];
  if (whole !== undefined && whole !== null && typeof whole === 'object') return checked(whole, key);

  const name = cell('name') || [cell('firstName'), cell('lastName')].filter(Boolean).join(' ');
  if (!name) return { error: 'The name is empty.' };
  const faults: CellFault[] = [];
  /** What a cell reads as; null is no such thing, and told. */
  const read = <T>(field: ColumnField, as: (text: string) => T | null | undefined, reply: (text: string) => string) => {
    const text = cell(field);
    const value = text ? as(text) : undefined;
    if (value === null) faults.push({ field, message: reply(cut(text)) });
    return value ?? undefined;
  };
  const headcount = read(
    'headcount',
    readNumber,
    (text) => `The company size “${text}” isn’t a number. Use digits, as in 240 or 50-249.`
  );
  const founded = read('founded', readNumber, (text) => `The year “${text}” isn’t a number. Write it like 1998.`);
  const from = read('jobFrom', readMonth, (text) => `“${text}” isn’t a date. Write it like 2021-03.`);
  const jobs = [
    ...(cell('title') || cell('company') || from
      ? [{ title: cell('title'), company: cell('company'), ...(from && { from }) }]
      : []),
    ...(cell('pastTitle') || cell('pastCompany')
      ? [{ title: cell('pastTitle'), company: cell('pastCompany'), to: 'past' }]
      : [])
  ];
  const own: Record<string, OwnValue> = {};
  mapping.forEach((field, i) => {
    const name = ownNames[i];
    const text = reply(textOf(cells[i]));
    if (!isOwnColumn(field) || !name || !text) return;
    const value = readOwn(field, text);
    if ('value' in value) own[name] = value.value;
    else faults.push({ field, message: `“${cut(text)}” in “${name.replaceAll('_', ' ')}” ${value.fault}.` });
  });
  const country = cell('country');
  const language = cell('language');
  const industry = cell('industry');
  const contact = [
    cell('mail'),
    cell('phone'),
    ...mapping.flatMap((field, i) => (field === 'url' ? [textOf(cells[i])] : []))
  ].filter(Boolean);
  return checked(
    {
      id: cell('id') || key,
      name,
      ...(jobs.length && { jobs }),
      ...(cell('about') && { about: cell('about') }),
      ...(cell('skills') && { skills: listOf(cell('skills')) }),
      ...(cell('school') && { schools: [cell('school')] }),
      ...(cell('group') && { groups: listOf(cell('group')) }),
      ...(contact.length && { contact }),
      ...(cell('place') && { place: cell('place') }),
      ...(country && { country: countryCode(country) ?? country }),
      ...(industry && { industry: industryCode(industry) ?? industry }),
      ...(cell('function') && { function: cell('function') }),
      ...(cell('rank') && { rank: cell('rank') }),
      ...(headcount !== undefined && { headcount }),
      ...(founded !== undefined && { founded }),
      ...(language && { language: languageCode(language) ?? language }),
      ...(Object.keys(own).length && { own })
    },
    key,
    faults
  );
}

function checked(raw: object, key: string, faults: CellFault[] = []): RowResult {
  const read = personSchema.safeParse({ ...raw, id: (raw as { id?: unknown }).id ?? key });
  if (read.success) return { person: withPlaceRead(read.data), faults };
  const [issue] = read.error.issues;
  return { error: `${issue!.path.join('.') || 'The row'}: ${issue!.message}` };
}

/** Nothing, where a cell says that nothing is known. */
const reply = (text: string) =>
  /^(?:n\/?a|n\.a\.|none|null|unknown|ukendt|ukjent|okänd|onbekend|inconnu|unbekannt|k\. ?a\.|desconocido|desconhecido|sconosciuto|nieznane?|b\/d|tuntematon|neznámé|[-–—?.#]+)$/i.test(
    text
  )
    ? ''
    : text;

const cut = (text: string) => (text.length > 40 ? `${text.slice(0, 40)}…` : text);

const textOf = (cell: unknown): string =>
  typeof cell === 'string'
    ? cell.trim()
    : typeof cell === 'number' || typeof cell === 'boolean'
      ? String(cell)
      : Array.isArray(cell)
        ? cell.map(textOf).join('; ')
        : '';

const listOf = (text: string) =>
  text
    .split(/[;,|]/)
    .map((piece) => piece.trim())
    .filter(Boolean);

const grouped = /^\d{1,3}([,.'\s\u00a0\u202f]\d{3})+$/;

/** A whole number as files write it: `1,200`, `1.200`, `50-249` (its middle), `5000+`. Undefined when empty, null when it is none. */
export function readNumber(text: string): number | undefined | null {
  const said = text.replace(/^(?:~|≈|ca\.?|circa|about|approx\.?|rund|etwa|environ|unos|cerca de)\s*/i, '').trim();
  // Letters behind the number are its unit.
  const figures = trimSigns(said, (sign) => /[\p{L}.\s]/u.test(sign), 'end');
  const unit = said.slice(figures.length).search(/\p{L}/u);
  const bare = unit < 0 ? said : said.slice(0, figures.length + unit).trim();
  if (!text.trim()) return undefined;
  if (!bare) return null;
  const range = bare.split(/[-–—]|\bto\b/).map((bound) => bound.trim());
  if (range.length === 2) {
    const [low, high] = range.map(wholeNumber) as [number | null, number | null];
    return low === null || high === null ? null : Math.round((low + high) / 2);
  }
  return wholeNumber(bare.replace(/^[>≥]\s*|\+$/g, ''));
}

function wholeNumber(text: string): number | null {
  const plain = grouped.test(text) ? text.replaceAll(/\D/g, '') : text;
  return /^\d+$/.test(plain) ? Number(plain) : /^\d+\.0+$/.test(plain) ? Number.parseInt(plain, 10) : null;
}
