import { countryName } from '../people/countries';
import type { ColumnProfile } from './column-profile-schema';

export const standardProfile: ColumnProfile = {
  columns: (
    [
      ['Name', 'name'],
      ['Greeting', 'greeting'],
      ['Title', 'tidy title'],
      ['Company', 'firm in a sentence'],
      ['Country', 'country'],
      ['Place', 'place'],
      ['Mail', 'mail'],
      ['Mail state', 'mail state'],
      ['Phone', 'phone'],
      ['Tags', 'tags'],
      ['Sources', 'sources'],
      ['Kept on', 'kept on'],
      ['Kept because', 'kept because']
    ] as const
  ).map(([header, from]) => ({ header, from, of: '' })),
  dates: '2026-05-31',
  numbers: '1234.5'
};

/** A person as a line of a file is made from them. Dates are ISO 8601. */
export interface LineOfList {
  name: string;
  greeting: string;
  title: string;
  tidyTitle: string;
  company: string;
  firmSaid: string;
  country: string;
  place: string;
  mail: string;
  mailState: string;
  phone: string;
  page: string;
  industry: string;
  headcount: string;
  verdict: string;
  likelihood: number | null;
  tags: readonly string[];
  priority: number | null;
  nextStep: string;
  nextOn: string;
  note: string;
  keptAt: string;
  keptWhy: string;
  sources: readonly string[];
  own: Readonly<Record<string, string | number | boolean | null>>;
}

export function dateWritten(iso: string, form: ColumnProfile['dates']): string {
  const [year, month, day] = iso.slice(0, 10).split('-');
  if (!day) return iso;
  return {
    '2026-05-31': `${year}-${month}-${day}`,
    '31.05.2026': `${day}.${month}.${year}`,
    '31/05/2026': `${day}/${month}/${year}`,
    '05/31/2026': `${month}/${day}/${year}`
  }[form];
}

/** The cells of one person by a profile, all as text. */
export function cellsOf(line: LineOfList, { columns, dates, numbers }: ColumnProfile): string[] {
  const number = (value: number | null) =>
    value === null ? '' : numbers === '1234,5' ? String(value).replace('.', ',') : String(value);
  const family =
    line.greeting && line.name.startsWith(`${line.greeting} `)
      ? line.name.slice(line.greeting.length + 1)
      : line.name.split(' ').slice(1).join(' ');
  return columns.map(({ from, of }): string => {
    switch (from) {
      case 'given name':
        return line.greeting || line.name.split(' ')[0]!;
      case 'family name':
        return family;
      case 'tidy title':
        return line.tidyTitle;
      case 'firm in a sentence':
        return line.firmSaid;
      case 'country':
        return line.country && countryName(line.country);
      case 'country code':
        return line.country;
      case 'mail state':
        return line.mailState;
      case 'likelihood':
        return number(line.likelihood === null ? null : Math.round(line.likelihood * 1000) / 1000);
      case 'tags':
        return line.tags.join('; ');
      case 'priority':
        return number(line.priority);
      case 'next step':
        return line.nextStep;
      case 'next date':
        return line.nextOn && dateWritten(line.nextOn, dates);
      case 'kept on':
        return dateWritten(line.keptAt, dates);
      case 'kept because':
        return line.keptWhy;
      case 'sources':
        return line.sources.join('; ');
      case 'fixed text':
        return of;
      case 'own column': {
        const value = line.own[of];
        if (typeof value === 'boolean') return value ? 'yes' : 'no';
        if (typeof value === 'number') return number(value);
        return /^\d{4}-\d{2}-\d{2}$/.test(value ?? '') ? dateWritten(value!, dates) : (value ?? '');
      }
      default:
        return line[from];
    }
  });
}
