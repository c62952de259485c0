import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ fetch }) => {
  const ask = asking(fetch);
  const [regions, consent] = await Promise.all([ask('readRegions'), ask('readConsent')]);
  return { regions, consent };
};
