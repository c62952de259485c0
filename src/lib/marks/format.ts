import type { Interval } from '$core/measure';

const digits = new Intl.NumberFormat('en', { maximumFractionDigits: 0 });

export const count = (value: number): string => digits.format(value);

/** Whether a count is known exactly, to the person. */
export const isExact = ({ low, high }: Interval): boolean => Math.round(low) === Math.round(high);

/** A count that may be an interval: `418`, or `1,350–1,449`. */
export const counted = (interval: Interval): string =>
  isExact(interval) ? count(interval.low) : `${count(interval.low)}–${count(interval.high)}`;

/** Bounds as whole people. */
export const whole = ({ low, high }: Interval): Interval => ({ low: Math.round(low), high: Math.round(high) });

/** A number to as many figures as its uncertainty leaves meaning in. */
export function rounded(value: number, { low, high }: Interval): string {
  const unit = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, (high - low) / 8))));
  return count(Math.round(value / unit) * unit);
}

/** The middle of a count with a sign where it is not known exactly. */
export const about = (interval: Interval & { middle?: number }): string => {
  const { low, high, middle = (low + high) / 2 } = interval;
  return isExact(interval) ? count(middle) : `≈ ${rounded(middle, interval)}`;
};

const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
/** A moment, given as ISO 8601, where the reader is. */
export const moment = (iso: string): string => when.format(new Date(iso));

/** A share as whole per cent, with a thin space before the sign. */
export const percent = (share: number): string => `${Math.round(share * 100)}%`;

export const percentRange = ({ low, high }: Interval): string => `${Math.round(low * 100)}–${Math.round(high * 100)}%`;

const longDay = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' });
/** `1 November 2026` for a day as ISO 8601. */
export const day = (iso: string): string => longDay.format(new Date(iso));
