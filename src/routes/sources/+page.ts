import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ fetch, depends, url }) => {
  const ask = asking(fetch);
  depends('eave:sources');
  const [sources, retention, world, briefs] = await Promise.all([
    ask('listSources'),
    ask('retention'),
    ask('readWorld'),
    ask('listBriefs')
  ]);
  return { sources, retention, world, briefs, onto: url.searchParams.get('list') ?? '' };
};
