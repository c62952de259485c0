import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, fetch, depends }) => {
  const ask = asking(fetch);
  depends('eave:report');
  return { report: await ask('report', { params }) };
};
