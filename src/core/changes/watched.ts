import { countryName } from '../people/countries';
import { isMail } from '../people/contact-keys';
import type { Person } from '../people/person';
import { presentJob } from '../people/present-job';

/** What of a person is looked at for changes. */
export const watchedFields = ['title', 'company', 'country', 'place', 'headcount', 'mail', 'name'] as const;
export type WatchedField = (typeof watchedFields)[number];
/** What is told of each; what is not told is left out. */
export type Facts = Readonly<Partial<Record<WatchedField, string>>>;

/** What a record tells that may change. A person without a present job tells no title and no firm. */
export function factsOf(person: Person): Facts {
  const job = presentJob(person);
  const mail = person.contact?.find((text) => isMail(text.trim()));
  const told: Record<WatchedField, string | undefined> = {
    title: job?.title,
    company: job?.company,
    country: person.country && countryName(person.country),
    place: person.place,
    headcount: person.headcount === undefined ? undefined : String(person.headcount),
    mail: mail?.trim().toLowerCase(),
    name: person.name
  };
  return Object.fromEntries(Object.entries(told).filter(([, value]) => value)) as Facts;
}
