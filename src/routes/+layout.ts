import { browser } from '$app/environment';
import { asking } from '$lib/api/load';
import type { LayoutLoad } from './$types';

/** Something was added when it was last looked at. */
let added = false;

/** Users' additions to the title lexicon apply on every page; the server applies them itself. */
export const load: LayoutLoad = async ({ fetch, depends }) => {
  depends('eave:lexicon');
  const { body } = await asking(fetch)('readLexicon');
  const before = added;
  added = Object.values(body).some((some) => some.length);
  if (browser && (added || before)) {
    const { ownLexicon, takeUpLexicon } = await import('$core/titles');
    if (JSON.stringify(ownLexicon()) !== JSON.stringify(body)) takeUpLexicon(body);
  }
};
