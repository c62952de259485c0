import { call } from '$lib/api/call';
import { orErrorPage } from '$lib/api/load';
import { contract } from '$server/api/contract';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, fetch, depends }) => {
  depends('eave:versions', 'eave:sources', 'eave:word-sets');
  const [draft, versions, sources, wording, wordSets, persona] = await orErrorPage(
    Promise.all([
      call(contract.readDraft, { params, fetch }),
      call(contract.listVersions, { params, fetch }),
      call(contract.listSources, { fetch }),
      call(contract.readWording, { params, fetch }),
      call(contract.listWordSets, { fetch }),
      call(contract.readPersona, { params, fetch })
    ])
  );
  return { draft, versions, sources, wording, wordSets, persona: persona.body };
};
