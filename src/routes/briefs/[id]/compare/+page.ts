import { call } from '$lib/api/call';
import { orErrorPage } from '$lib/api/load';
import { contract } from '$server/api/contract';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, url, fetch, depends, parent }) => {
  depends('eave:compare');
  const [versions, trials, sources, choice] = await orErrorPage(
    Promise.all([
      call(contract.listVersions, { params, fetch }),
      call(contract.listTrials, { params, fetch }),
      call(contract.listSources, { fetch }),
      call(contract.readChoice, { params, fetch })
    ])
  );
  const { brief } = await parent();
  const tried = [...new Set(trials.filter(({ state }) => state === 'done').map((trial) => trial.version))];
  const asked = url.searchParams.get('versions')?.split(',').map(Number);
  const shown = asked?.filter((number) => tried.includes(number)) ?? tried.slice(0, 6);
  const board = shown.length
    ? await orErrorPage(
        call(contract.compare, {
          params,
          query: { versions: shown.join(','), certain: brief.certainOnly ? 'true' : 'false' },
          fetch
        })
      )
    : null;
  return { versions, tried, sources, board, choice };
};
