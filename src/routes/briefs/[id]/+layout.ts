import { call } from '$lib/api/call';
import { orErrorPage } from '$lib/api/load';
import { contract } from '$server/api/contract';
import type { LayoutLoad } from './$types';

export const load: LayoutLoad = async ({ params, fetch, depends }) => {
  depends('eave:brief');
  return { brief: await orErrorPage(call(contract.readBrief, { params, fetch })) };
};
