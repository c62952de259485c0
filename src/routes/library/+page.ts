import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ fetch, depends }) => {
  const ask = asking(fetch);
  depends('eave:word-sets');
  return { wordSets: await ask('listWordSets') };
};
