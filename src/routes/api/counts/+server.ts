import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { countTexts } from '$server/services/strings/worth';

export const POST = endpoint(contract.count, ({ body }) => countTexts(body.texts, body.sourceId));
