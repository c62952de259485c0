import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, url, fetch, depends }) => {
  const ask = asking(fetch);
  depends('eave:shortlists');
  const lists = await ask('listShortlists', { params });
  const wanted = url.searchParams.get('list') ?? lists[0]?.id;
  const list = wanted === undefined ? null : await ask('readShortlist', { params: { ...params, list: wanted } });
  return { lists, list };
};
