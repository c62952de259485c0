import type { Body } from '$api';

export type Budget = Body<'startHarvest'>['budget'];

/** Takes what it needs, and asks with neutral words until fewer than 5 of 100 rows should be new. */
export const noBudget: Budget = { requestsPerDay: null, records: null, spend: null, newShare: 0.05 };

/** A limit as it is typed: empty is none; undefined where it is no number above nothing. */
export function readLimit(text: string | number | null): number | null | undefined {
  const bare = String(text ?? '').replaceAll(/[\s,']/g, '');
  if (!bare) return null;
  const value = Number(bare);
  return Number.isFinite(value) && value > 0 ? value : undefined;
}
