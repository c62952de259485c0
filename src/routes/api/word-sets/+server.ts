import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { createWordSet, listWordSets } from '$server/features/library/word-sets';

export const GET = endpoint(contract.listWordSets, listWordSets);
export const POST = endpoint(contract.createWordSet, ({ body }) => createWordSet(body));
