import { call } from '$lib/api/call';
import { orErrorPage } from '$lib/api/load';
import { contract } from '$server/api/contract';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, fetch }) => {
  const [persona, sources, regions, consent, contacted, draft, wording] = await orErrorPage(
    Promise.all([
      call(contract.readPersona, { params, fetch }),
      call(contract.listSources, { fetch }),
      call(contract.readRegions, { fetch }),
      call(contract.readConsent, { fetch }),
      call(contract.readContacted, { params, fetch }),
      call(contract.readDraft, { params, fetch }),
      call(contract.readWording, { params, fetch })
    ])
  );
  return {
    persona,
    draft: draft.body,
    wording: wording.body,
    regions: regions.body,
    consent: consent.body,
    contacted,
    sources: sources.filter(({ kind }) => kind !== 'by-hand')
  };
};
