import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ fetch, depends }) => {
  const ask = asking(fetch);
  depends('eave:sources');
  const [sources, retention] = await Promise.all([ask('listSources'), ask('retention')]);
  return { sources, retention };
};
