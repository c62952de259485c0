import { contactKeys, isMail, ownMails, ownPages } from './contact-keys';
import { countryCode } from './countries';
import type { Person } from './person';
import { nameVariants } from './person-name';
import { e164 } from './telephone';

/** What somebody who objected is known by again. */
export interface ObjectionKeys {
  /** Each of these names one person: mail their own addresses, their name at a firm, their name with a telephone or page. */
  own: string[];
  /** Telephones and pages alone: they name one person unless several people share them, as a firm's switchboard. */
  shared: string[];
}

/** A mail address without what some servers ignore: `ana+news@firm.example` reaches ana@firm.example (RFC 5233). */
export const withoutTag = (mail: string): string => mail.replace(/^([^+@]+)\+[^@]*@/, '$1@');

/** The telephone numbers among contacts, as E.164 writes them; as plain digits where the country is not known. */
function telephones({ contact = [], country }: Person): string[] {
  const code = country && (countryCode(country) ?? country);
  return contact.flatMap((text) => {
    if (isMail(text.trim()) || /\p{L}{3}/u.test(text) || text.length > 40) return [];
    const digits = text.replaceAll(/\D/g, '');
    if (digits.length < 7) return [];
    return [e164(text, code) ?? `${text.trim().startsWith('+') ? '+' : ''}${digits}`];
  });
}

/** All that a record can be recognised by as somebody who objected. Wider than `contactKeys`, which must never join two people. */
export function objectionKeys(person: Person): ObjectionKeys {
  const numbers = telephones(person);
  const shared = [...numbers.map((number) => `tel ${number}`), ...ownPages(person).map((page) => `page ${page}`)];
  const names = nameVariants(person.name).filter(Boolean);
  return {
    own: [
      ...new Set([
        ...contactKeys(person),
        ...ownMails(person).map(withoutTag),
        ...shared.flatMap((key) => names.map((name) => `${name} by ${key}`)),
        // Written without its country in one record and with it in another.
        ...numbers.flatMap((number) => names.map((name) => `${name} by tel …${number.slice(-8)}`))
      ])
    ],
    shared: [...new Set(shared)]
  };
}
