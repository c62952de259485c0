import type { Interval } from '$core/measure/wilson';

const whole = new Intl.NumberFormat('en', { maximumFractionDigits: 0 });

export const count = (value: number): string => whole.format(value);

/** A count that may be an interval: `418`, or `1,350–1,449`. */
export const counted = ({ low, high }: Interval): string =>
  low === high ? count(low) : `${count(low)}–${count(high)}`;

/** The middle of an interval with a sign that it is one. */
export const about = ({ low, high }: Interval): string => (low === high ? count(low) : `≈ ${count((low + high) / 2)}`);

/** A share as whole per cent, with a thin space before the sign. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

export const percentRange = ({ low, high }: Interval): string => `${Math.round(low * 100)}–${Math.round(high * 100)} %`;
