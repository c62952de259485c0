import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ fetch, depends }) => {
  const ask = asking(fetch);
  depends('eave:sources');
  const [sources, retention, world] = await Promise.all([ask('listSources'), ask('retention'), ask('readWorld')]);
  return { sources, retention, world };
};
