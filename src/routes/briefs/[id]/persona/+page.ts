import { call } from '$lib/api/call';
import { orErrorPage } from '$lib/api/load';
import { contract } from '$server/api/contract';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, fetch }) => {
  const [persona, sources] = await orErrorPage(
    Promise.all([call(contract.readPersona, { params, fetch }), call(contract.listSources, { fetch })])
  );
  return { persona, sources: sources.filter(({ kind }) => kind !== 'by-hand') };
};
