import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { deleteWordSet, writeWordSet } from '$server/features/library/word-sets';

export const PUT = endpoint(contract.writeWordSet, ({ params, body }) => writeWordSet(params.name, body));
export const DELETE = endpoint(contract.deleteWordSet, ({ params }) => deleteWordSet(params.name));
