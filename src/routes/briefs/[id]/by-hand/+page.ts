import { error } from '@sveltejs/kit';
import { ApiProblem, call } from '$lib/api/call';
import { asking } from '$lib/api/load';
import type { Answer } from '$api';
import { byHandPage as say } from '$lib/by-hand/words';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, url, fetch, depends }) => {
  const ask = asking(fetch);
  depends('eave:diary');
  const number = Number(url.searchParams.get('version'));
  const sourceId = url.searchParams.get('source') ?? '';
  const harvest = url.searchParams.get('harvest');
  if (!Number.isInteger(number) || number < 1 || !sourceId) error(404, say.noSuchPage);
  const place = { ...params, number: String(number), source: sourceId };
  const source = ask('readSource', { params: { source: sourceId } });
  /** A diary written meanwhile rebuilds its trial, so both are read again. */
  const read = async (tries: number): Promise<{ diary: Answer<'readDiary'>; trial: Answer<'readTrial'> | null }> => {
    const diary = await ask('readDiary', { params: place, ...(harvest && { query: { harvest } }) });
    if (!diary.trialId) return { diary, trial: null };
    try {
      return { diary, trial: await call('readTrial', { params: { ...params, trial: diary.trialId }, fetch }) };
    } catch (problem) {
      if (tries && problem instanceof ApiProblem && problem.status === 404) return read(tries - 1);
      throw problem;
    }
  };
  return { ...(await read(5)), source: await source };
};
