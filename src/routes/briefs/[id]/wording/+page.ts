import { hasPeopleHere } from '$api/source-kinds';
import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ params, fetch }) => {
  const ask = asking(fetch);
  const [wording, sources, found] = await Promise.all([
    ask('readWording', { params }),
    ask('listSources'),
    ask('foundTitles', { params })
  ]);
  return { wording, sources: sources.filter(({ kind, hidden }) => hasPeopleHere(kind) && !hidden), found };
};
