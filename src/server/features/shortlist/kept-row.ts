import { contactKeys } from '$core/people';
import {
  firmSaid,
  greetingName,
  joinRecords,
  readMail,
  tidyTitle,
  type FieldChoice,
  type JoinedField,
  type KeptRecord
} from '$core/shortlist';

export type Choice = Partial<Record<JoinedField, FieldChoice>>;
/** How somebody is written in a letter, where it was said by hand. */
export type Written = Partial<Record<'greeting' | 'firm' | 'title', string>>;

/** A person of a list as they are about to be kept: their records, and what was chosen and written by hand. */
export interface KeptInput {
  records: KeptRecord[];
  choice?: Choice;
  written?: Written;
}

/** How somebody is written in a letter, as Eave would. */
export function cleanedOf(name: string, title: string, company: string) {
  const { greeting, sure } = greetingName(name);
  return { greeting, sure, firm: firmSaid(company), title: tidyTitle(title, company) };
}

export type MailFault = '' | 'malformed' | 'role' | 'throwAway';

/** What is wrong with an address, so that nobody need be asked about it. */
function mailFault(mail: string): MailFault {
  const { wellFormed, role, throwAway } = readMail(mail);
  return wellFormed ? (role ? 'role' : throwAway ? 'throwAway' : '') : 'malformed';
}

/** The columns of a kept person that follow from their records. */
export function rowOf({ records, choice = {}, written = {} }: KeptInput) {
  const joined = joinRecords(records, choice);
  const { name, title, company } = joined;
  const clean = cleanedOf(name.value, title.value, company.value);
  const headcount = Number(joined.headcount.value.replaceAll(/[^\d.]/g, ''));
  return {
    records,
    choice,
    written,
    keys: [...new Set(records.flatMap(({ person }) => contactKeys(person)))],
    name: name.value,
    title: title.value,
    company: company.value,
    country: joined.country.value,
    place: joined.place.value,
    mail: joined.mail.value,
    mail_fault: joined.mail.value && mailFault(joined.mail.value),
    phone: joined.phone.value,
    page: joined.page.value,
    industry: joined.industry.value,
    headcount: joined.headcount.value && Number.isFinite(headcount) ? Math.round(headcount) : null,
    greeting: written.greeting ?? clean.greeting,
    firm_said: written.firm ?? clean.firm,
    tidy_title: written.title ?? clean.title
  };
}
export type KeptColumns = ReturnType<typeof rowOf>;

/** The columns above, as PostgreSQL reads them out of JSON. */
export const columnTypes: Record<keyof KeptColumns, string> = {
  records: 'jsonb',
  choice: 'jsonb',
  written: 'jsonb',
  keys: 'text[]',
  name: 'text',
  title: 'text',
  company: 'text',
  country: 'text',
  place: 'text',
  mail: 'text',
  mail_fault: 'text',
  phone: 'text',
  page: 'text',
  industry: 'text',
  headcount: 'integer',
  greeting: 'text',
  firm_said: 'text',
  tidy_title: 'text'
};
