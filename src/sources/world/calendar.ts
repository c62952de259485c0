/** The month in which the demo world begins. Its first day is day 0; days and months are counted on from there. */
export const worldStart = { year: 2026, month: 11 };

/** Months that the world can be moved on. */
const maxMonths = 120;
const day = 24 * 60 * 60 * 1000;
const start = Date.UTC(worldStart.year, worldStart.month - 1, 1);

/** The first day of each month. */
const firstDays = Array.from(
  { length: maxMonths + 1 },
  (_, month) => (Date.UTC(worldStart.year, worldStart.month - 1 + month, 1) - start) / day
);

/** The last day the world has. */
export const lastDay = firstDays[maxMonths]! - 1;

export const firstDayOf = (month: number): number => firstDays[Math.max(0, Math.min(maxMonths, month))]!;

/** The month that a day is in; every day before the first is in month 0. */
export function monthOf(day: number): number {
  let month = Math.min(maxMonths - 1, Math.max(0, Math.floor(day / 28)));
  while (month > 0 && firstDays[month]! > day) month--;
  return month;
}

/** A day of the world as ISO 8601. */
export const dateOf = (days: number): string => new Date(start + days * day).toISOString().slice(0, 10);

export const steps = ['day', 'week', 'month'] as const;
export type Step = (typeof steps)[number];

/** The day that comes a day, a week or a month after another, where the world has one: else its last. */
export function dayAfter(day: number, step: Step): number {
  const month = monthOf(day);
  // The same day of the next month, or its last where that is shorter.
  const nextMonth = Math.min(firstDayOf(month + 1) + (day - firstDayOf(month)), firstDayOf(month + 2) - 1);
  return Math.min(lastDay, step === 'month' ? nextMonth : day + (step === 'week' ? 7 : 1));
}

const written = new Map<number, string>();

/** `2024-05` for a number of months before the world’s first month; later ones are below 0. */
export function monthBefore(months: number): string {
  let text = written.get(months);
  if (text === undefined) {
    const total = worldStart.year * 12 + worldStart.month - 1 - months;
    text = `${Math.floor(total / 12)}-${String((total % 12) + 1).padStart(2, '0')}`;
    written.set(months, text);
  }
  return text;
}
