import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { countTexts } from '$server/features/strings/worth';

export const POST = endpoint(contract.count, ({ body }) => countTexts(body.texts, body.sourceId));
