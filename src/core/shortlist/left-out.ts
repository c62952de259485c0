import { firmKey, isMail, isRoleMailbox } from '../people/contact-keys';
import { countryCode } from '../people/countries';
import type { Person } from '../people/person';
import { plainText } from '../people/person-name';
import type { LeftOutReason } from './list-fields';

/** What is said of each reason. */
export const leftOutWords: Record<LeftOutReason, string> = {
  contacted: 'already contacted',
  customer: 'a customer',
  competitor: 'at a competitor',
  'own firm': 'at your own firm',
  'excluded firm': 'at a firm the persona excludes',
  consent: 'in a country that requires prior consent',
  'shared mailbox': 'shared mailbox only',
  'no address': 'no address',
  'already exported': 'already exported',
  'by hand': 'excluded by hand'
};

/** Firms by what they are to the house: written one a line, subsidiaries too. */
export interface FirmLists {
  customers: string[];
  competitors: string[];
  own: string[];
  /** Of the persona. */
  excluded?: readonly string[];
}

/** What is known of somebody who may be left out. */
export interface Candidate {
  company: string;
  country: string;
  mail: string;
  contacted: boolean;
  takenBefore: boolean;
}

/**
 * Reads the lists once, and says of each person every reason to leave them out. A firm is recognised without its legal
 * form, accents and joining words; a line that holds an address of the web is one by its domain.
 */
export function leaveOutReader(firms: FirmLists, consent: readonly string[]): (one: Candidate) => LeftOutReason[] {
  const kinds = [
    ['customer', known(firms.customers)],
    ['competitor', known(firms.competitors)],
    ['own firm', known(firms.own)],
    ['excluded firm', known(firms.excluded ?? [])]
  ] as const;
  const asks = new Set(consent.map((country) => countryCode(country) ?? country));
  return ({ company, country, mail, contacted, takenBefore }) => {
    const key = company ? firmKey(company) : '';
    const domain = mail.slice(mail.lastIndexOf('@') + 1).toLowerCase();
    return [
      ...(contacted ? (['contacted'] as const) : []),
      ...kinds.flatMap(([reason, is]) => ((key && is.has(key)) || (mail && is.has(domain)) ? [reason] : [])),
      ...(country && asks.has(countryCode(country) ?? country) ? (['consent'] as const) : []),
      ...(mail ? (isRoleMailbox(mail) ? (['shared mailbox'] as const) : []) : (['no address'] as const)),
      ...(takenBefore ? (['already exported'] as const) : [])
    ];
  };
}

/** Whether a person is at one of some firms now, by its name or by the domain of an address of theirs. */
export function atFirms(lines: readonly string[]): (person: Person) => boolean {
  const firms = known(lines);
  return ({ jobs = [], contact = [] }) =>
    firms.size > 0 &&
    (jobs.some(({ to, company }) => !to && company !== '' && firms.has(firmKey(company))) ||
      contact.some((text) => isMail(text.trim()) && firms.has(text.trim().toLowerCase().split('@').at(-1)!)));
}

const known = (lines: readonly string[]) =>
  new Set(
    lines.flatMap((line) => {
      const text = line.trim();
      const domain = /^(?:https?:\/\/)?(?:www\.)?([\p{L}\p{N}-]+(?:\.[\p{L}\p{N}-]+)+)(?:\/\S*)?$/u.exec(text)?.[1];
      return plainText(text) ? [firmKey(text), ...(domain ? [domain.toLowerCase()] : [])] : [];
    })
  );
