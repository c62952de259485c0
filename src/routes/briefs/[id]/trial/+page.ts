import { call } from '$lib/api/call';
import { orErrorPage } from '$lib/api/load';
import { contract } from '$server/api/contract';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, url, fetch, depends }) => {
  depends('eave:trials');
  const [trials, sources, versions, persona, wording] = await orErrorPage(
    Promise.all([
      call(contract.listTrials, { params, fetch }),
      call(contract.listSources, { fetch }),
      call(contract.listVersions, { params, fetch }),
      call(contract.readPersona, { params, fetch }),
      call(contract.readWording, { params, fetch })
    ])
  );
  const wanted = url.searchParams.get('trial') ?? trials[0]?.id;
  const trial = wanted
    ? await orErrorPage(call(contract.readTrial, { params: { ...params, trial: wanted }, fetch }))
    : null;
  return { trials, sources, versions, persona, wording, trial };
};
