import { hasPeopleHere } from '$api/source-kinds';
import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, fetch }) => {
  const ask = asking(fetch);
  const [persona, sources, regions, consent, contacted, draft, wording] = await Promise.all([
    ask('readPersona', { params }),
    ask('listSources'),
    ask('readRegions'),
    ask('readConsent'),
    ask('readContacted', { params }),
    ask('readDraft', { params }),
    ask('readWording', { params })
  ]);
  return {
    persona,
    draft: draft.body,
    wording: wording.body,
    regions: regions.body,
    consent: consent.body,
    contacted,
    sources: sources.filter(({ kind }) => hasPeopleHere(kind))
  };
};
