import { call } from '$lib/api/call';
import { orErrorPage } from '$lib/api/load';
import { contract } from '$server/api/contract';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ fetch, depends }) => {
  depends('eave:word-sets');
  return { wordSets: await orErrorPage(call(contract.listWordSets, { fetch })) };
};
