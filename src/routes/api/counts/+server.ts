import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { countTexts } from '$server/services/worth';

export const POST = endpoint(contract.count, ({ body }) => countTexts(body.texts, body.sourceId));
