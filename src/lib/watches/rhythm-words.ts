/** Rhythms to choose from, as rules of RFC 5545; weekly ones take days. */
export const rhythms = {
  'FREQ=DAILY': 'every day',
  'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR': 'on working days',
  'FREQ=WEEKLY': 'every week',
  'FREQ=WEEKLY;INTERVAL=2': 'every other week',
  'FREQ=MONTHLY': 'every month'
} as const;

export const days = {
  MO: 'Monday',
  TU: 'Tuesday',
  WE: 'Wednesday',
  TH: 'Thursday',
  FR: 'Friday',
  SA: 'Saturday',
  SU: 'Sunday'
} as const;
export type Day = keyof typeof days;

/** A weekly rule with the chosen weekdays, if it has none. */
export const withDays = (rule: string, chosen: readonly Day[]): string =>
  /^FREQ=WEEKLY/.test(rule) && !rule.includes('BYDAY') && chosen.length ? `${rule};BYDAY=${chosen.join(',')}` : rule;

/** A rule in words; one that Eave did not offer is said as it is. */
export function rhythmInWords(rule: string): string {
  const known = (rhythms as Record<string, string>)[rule];
  if (known) return known;
  const [, plain, list] = /^(.*);BYDAY=([A-Z,]+)$/.exec(rule) ?? [];
  const named = list?.split(',').flatMap((day) => days[day as Day] ?? []);
  const base = plain && (rhythms as Record<string, string>)[plain];
  return base && named?.length ? `${base} on ${named.join(', ')}` : rule;
}

/** A rhythm to begin with: every Monday at six, where the user is. */
export const firstRhythm = () => ({
  rule: withDays('FREQ=WEEKLY', ['MO']),
  from: new Date().toISOString().slice(0, 10),
  hour: 6,
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone
});
