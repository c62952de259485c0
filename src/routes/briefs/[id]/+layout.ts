import { asking } from '$lib/api/load';
import type { LayoutLoad } from './$types';

export const load: LayoutLoad = async ({ params, fetch, depends }) => {
  const ask = asking(fetch);
  depends('eave:brief');
  return { brief: await ask('readBrief', { params }) };
};
