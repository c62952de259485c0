import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { exportWordSets, importWordSets } from '$server/services/library/word-sets';

export const GET = endpoint(contract.exportWordSets, ({ query }) => exportWordSets(query.format));
export const POST = endpoint(contract.importWordSets, ({ body }) => importWordSets(body.text));
