import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { readFrom } from '$server/services/strings/worth';

export const POST = endpoint(contract.read, ({ body }) => readFrom(body.text, body.sourceId));
