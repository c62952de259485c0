import { error } from '@sveltejs/kit';
import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, url, fetch, depends }) => {
  const ask = asking(fetch);
  depends('eave:diary');
  const number = Number(url.searchParams.get('version'));
  const sourceId = url.searchParams.get('source') ?? '';
  if (!Number.isInteger(number) || number < 1 || !sourceId)
    error(404, 'The address names no version and no place. Open a place run by hand from String or from Trial.');
  const place = { ...params, number: String(number), source: sourceId };
  const [diary, source] = await Promise.all([
    ask('readDiary', { params: place }),
    ask('readSource', { params: { source: sourceId } })
  ]);
  const trial = diary.trialId ? await ask('readTrial', { params: { ...params, trial: diary.trialId } }) : null;
  return { diary, source, trial };
};
