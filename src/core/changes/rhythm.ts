import ICAL from 'ical.js';
import { DateTime, IANAZone } from 'luxon';

/** When something comes again: a rule of RFC 5545, from a day on, at an hour of the clock in a time zone. */
export interface Rhythm {
  /** Such as `FREQ=WEEKLY;BYDAY=MO,TH`. */
  rule: string;
  /** The first day, ISO 8601. */
  from: string;
  /** 0 to 23. */
  hour: number;
  /** Of the IANA database, as `Europe/Copenhagen`. */
  zone: string;
}

/** Occurrences that are looked through for the next one: a watch that slept for decades of days wakes too. */
const maxSteps = 20_000;

/** What is wrong with a rhythm, in a sentence; null where nothing is. */
export function rhythmFault({ rule, zone }: Pick<Rhythm, 'rule' | 'zone'>): string | null {
  if (!IANAZone.isValidZone(zone))
    return `“${zone.slice(0, 60)}” isn’t a time zone. Write one such as Europe/Copenhagen.`;
  try {
    const { freq } = ICAL.Recur.fromString(rule);
    if (!/(^|;)FREQ=/i.test(rule)) throw new Error('no frequency');
    if (!/^(DAILY|WEEKLY|MONTHLY|YEARLY)$/.test(freq)) return 'A watch repeats daily, weekly, monthly or yearly.';
    return null;
  } catch {
    return `“${rule.slice(0, 80)}” isn’t an RFC 5545 rule such as FREQ=WEEKLY;BYDAY=MO.`;
  }
}

/**
 * The first moment after `after` at which it comes again, as ISO 8601 in UTC; null where the rule has ended. The hour is that of
 * the clock there: where clocks change it stays the same hour, and one that is left out comes when the clock has jumped over it.
 */
export function nextTime({ rule, from, hour, zone }: Rhythm, after: string): string | null {
  const start = ICAL.Time.fromDateTimeString(`${from}T${String(hour).padStart(2, '0')}:00:00`);
  const steps = ICAL.Recur.fromString(rule).iterator(start);
  const bound = DateTime.fromISO(after).toMillis();
  for (let i = 0; i < maxSteps; i++) {
    const at = steps.next() as ICAL.Time | null;
    if (!at) return null;
    const moment = DateTime.fromObject({ year: at.year, month: at.month, day: at.day, hour: at.hour }, { zone });
    if (moment.toMillis() > bound) return moment.toUTC().toISO();
  }
  return null;
}
