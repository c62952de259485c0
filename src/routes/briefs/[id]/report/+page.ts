import { call } from '$lib/api/call';
import { orErrorPage } from '$lib/api/load';
import { contract } from '$server/api/contract';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, fetch, depends }) => {
  depends('eave:report');
  return { report: await orErrorPage(call(contract.report, { params, fetch })) };
};
