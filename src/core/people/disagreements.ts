import { countryCode, countryName } from './countries';
import { firmKey } from './contact-keys';
import { lettersKey } from './letters-key';
import type { Person } from './person';
import { presentJob } from './present-job';

/** What records of one person say of one thing, each once with the places of the records that say so, the leading one first. */
export interface Disagreement {
  field: 'name' | 'title' | 'company' | 'place' | 'country' | 'headcount' | 'mail state';
  says: { text: string; records: number[] }[];
}

/** How each field is shown, and when two values agree: spelling, case and legal form don't count. */
const things: [Disagreement['field'], (person: Person) => string | undefined, (text: string) => string][] = [
  ['name', ({ name }) => name, (text) => lettersKey(text).split(' ').sort().join(' ')],
  ['title', (person) => presentJob(person)?.title, lettersKey],
  ['company', (person) => presentJob(person)?.company, firmKey],
  ['place', ({ place }) => place, lettersKey],
  ['country', ({ country }) => country && countryName(countryCode(country) ?? country), lettersKey],
  ['headcount', ({ headcount }) => headcount?.toLocaleString('en'), (text) => text],
  ['mail state', ({ mail }) => mail, (text) => text]
];

/**
 * In what records of one person disagree, thing by thing: what a record does not tell is no disagreement. Records are given with
 * the one that leads first, and what it says comes first.
 */
export function disagreements(records: readonly Person[]): Disagreement[] {
  return things.flatMap(([field, tell, keyOf]) => {
    const says = new Map<string, { text: string; records: number[] }>();
    records.forEach((record, i) => {
      const text = tell(record)?.trim();
      if (!text) return;
      const key = keyOf(text) || text;
      const one = says.get(key);
      if (one) one.records.push(i);
      else says.set(key, { text, records: [i] });
    });
    return says.size > 1 ? [{ field, says: [...says.values()] }] : [];
  });
}
