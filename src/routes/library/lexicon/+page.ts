import { asking } from '$lib/api/load';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ fetch }) => ({ lexicon: await asking(fetch)('readLexicon') });
