import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, url, fetch, depends, parent }) => {
  const ask = asking(fetch);
  depends('eave:compare');
  const [versions, trials, sources, choice] = await Promise.all([
    ask('listVersions', { params }),
    ask('listTrials', { params }),
    ask('listSources'),
    ask('readChoice', { params })
  ]);
  const { brief } = await parent();
  const tried = [...new Set(trials.filter(({ state }) => state === 'done').map((trial) => trial.version))];
  const asked = url.searchParams.get('versions')?.split(',').map(Number);
  const shown = asked?.filter((number) => tried.includes(number)) ?? tried.slice(0, 6);
  const board = shown.length
    ? await ask('compare', {
        params,
        query: { versions: shown.join(','), certain: brief.certainOnly ? 'true' : 'false' }
      })
    : null;
  return { versions, tried, sources, board, choice };
};
