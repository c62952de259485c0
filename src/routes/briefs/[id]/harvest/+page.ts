import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, url, fetch, depends }) => {
  const ask = asking(fetch);
  depends('eave:harvests');
  const [harvests, sources, versions] = await Promise.all([
    ask('listHarvests', { params }),
    ask('listSources'),
    ask('listVersions', { params })
  ]);
  const isNew = url.searchParams.has('new');
  const wanted = isNew ? undefined : (url.searchParams.get('harvest') ?? harvests[0]?.id);
  const at = wanted === undefined ? null : { ...params, harvest: wanted };
  const [harvest, facets, reading] = at
    ? await Promise.all([
        ask('readHarvest', { params: at }),
        ask('harvestFacets', { params: at }),
        ask('readingOfHarvest', { params: at })
      ])
    : [null, null, null];
  return { harvests, sources, versions, harvest, facets, reading };
};
