import { watchedFields, type WatchedField } from './watched-fields';
import { countryName } from '../people/countries';
import { isMail } from '../people/contact-keys';
import type { Person } from '../people/person';
import { presentJob } from '../people/present-job';

/** The facts listed about each; facts that aren't listed are absent. */
export type Facts = Readonly<Partial<Record<WatchedField, string>>>;

/** By how many per cent each field must change to be reported; null for a field that is never reported. Left out, any change counts. */
export type Thresholds = Readonly<Partial<Record<WatchedField, number | null>>>;

/** A headcount is an estimate at most sources, and drifts by a few per cent between two looks. */
export const usualThresholds: Thresholds = { headcount: 10 };

/**
 * The facts now, with those left as they were that have not changed by as much as a threshold asks. What is left is what later changes
 * are compared with, so that many small steps in one direction are reported once they add up.
 */
export function steadyFacts(before: Facts, now: Facts, thresholds: Thresholds): Facts {
  const steady: Partial<Record<WatchedField, string>> = { ...now };
  for (const field of watchedFields) {
    const threshold = thresholds[field];
    const [was, is] = [before[field], now[field]];
    if (threshold === undefined || was === undefined || is === undefined || was === is) continue;
    const [from, to] = [Number(was), Number(is)];
    // Compared without dividing: a change of exactly the threshold counts.
    const isSmall =
      threshold === null ||
      (Number.isFinite(from) && Number.isFinite(to) && Math.abs(to - from) * 100 < threshold * from);
    if (isSmall) steady[field] = was;
  }
  return steady;
}

/** What a record tells that may change. A person without a present job tells no title and no firm. */
export function factsOf(person: Person): Facts {
  const job = presentJob(person);
  const mail = person.contact?.find((text) => isMail(text.trim()));
  const listed: Record<WatchedField, string | undefined> = {
    title: job?.title,
    company: job?.company,
    country: person.country && countryName(person.country),
    place: person.place,
    headcount: person.headcount === undefined ? undefined : String(person.headcount),
    mail: mail?.trim().toLowerCase(),
    name: person.name
  };
  return Object.fromEntries(Object.entries(listed).filter(([, value]) => value)) as Facts;
}
