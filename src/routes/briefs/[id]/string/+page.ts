import { call } from '$lib/api/call';
import { orErrorPage } from '$lib/api/load';
import { contract } from '$server/api/contract';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, fetch, depends }) => {
  depends('eave:versions', 'eave:sources');
  const [draft, versions, sources] = await orErrorPage(
    Promise.all([
      call(contract.readDraft, { params, fetch }),
      call(contract.listVersions, { params, fetch }),
      call(contract.listSources, { fetch })
    ])
  );
  return { draft, versions, sources };
};
