import { call } from '$lib/api/call';
import { orErrorPage } from '$lib/api/load';
import { contract } from '$server/api/contract';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ fetch }) => {
  const [regions, consent] = await orErrorPage(
    Promise.all([call(contract.readRegions, { fetch }), call(contract.readConsent, { fetch })])
  );
  return { regions, consent };
};
