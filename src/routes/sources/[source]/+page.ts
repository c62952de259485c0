import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, fetch, depends }) => {
  const ask = asking(fetch);
  depends('eave:sources');
  const source = await ask('readSource', { params });
  return { source, connection: source.kind === 'connected' ? await ask('readConnection', { params }) : null };
};
