import type { Interval } from '$core/measure';
import { counted, whole } from '$lib/marks/format';

/** What a run costs, as the button says it behind the sources: ` · 12–40 credits`. Empty where no source charges. */
export function runCostWords({
  units,
  open
}: {
  units: readonly (readonly [string, Interval])[];
  /** Sources that charge and whose count is not known yet. */
  open: readonly string[];
}): string {
  const known = units.map(([unit, cost]) => `${counted(whole(cost))} ${unit}s`);
  const all = [...known, ...(open.length ? ['price not known yet'] : [])];
  return all.length ? ` · ${all.join(' + ')}` : '';
}
