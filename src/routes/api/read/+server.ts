import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readFrom } from '$server/features/strings/worth';

export const POST = endpoint(contract.read, ({ body }) => readFrom(body.text, body.sourceId));
