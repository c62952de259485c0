import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, fetch, depends }) => {
  const ask = asking(fetch);
  depends('eave:versions', 'eave:sources', 'eave:word-sets');
  const [draft, versions, sources, wording, wordSets, persona] = await Promise.all([
    ask('readDraft', { params }),
    ask('listVersions', { params }),
    ask('listSources'),
    ask('readWording', { params }),
    ask('listWordSets'),
    ask('readPersona', { params })
  ]);
  return {
    draft,
    versions,
    sources: sources.filter(({ hidden }) => !hidden),
    wording,
    wordSets,
    persona: persona.body
  };
};
