import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { exportWordSets, importWordSets } from '$server/features/library/word-sets';

export const GET = endpoint(contract.exportWordSets, ({ query }) => exportWordSets(query.format));
export const POST = endpoint(contract.importWordSets, ({ body }) => importWordSets(body.text));
