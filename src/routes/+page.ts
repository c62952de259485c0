import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ fetch, depends, url }) => {
  const ask = asking(fetch);
  depends('eave:briefs');
  depends('eave:watches');
  const [briefs, watches] = await Promise.all([ask('listBriefs'), ask('listWatches')]);
  return { briefs, watches, watch: url.searchParams.get('watch') };
};
