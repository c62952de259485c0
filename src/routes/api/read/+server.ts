import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { readFrom } from '$server/services/worth';

export const POST = endpoint(contract.read, ({ body }) => readFrom(body.text, body.sourceId));
