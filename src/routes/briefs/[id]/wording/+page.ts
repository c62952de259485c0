import { call } from '$lib/api/call';
import { orErrorPage } from '$lib/api/load';
import { contract } from '$server/api/contract';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, fetch }) => {
  const [wording, sources, found] = await orErrorPage(
    Promise.all([
      call(contract.readWording, { params, fetch }),
      call(contract.listSources, { fetch }),
      call(contract.foundTitles, { params, fetch })
    ])
  );
  return { wording, sources: sources.filter(({ kind }) => kind !== 'by-hand'), found };
};
