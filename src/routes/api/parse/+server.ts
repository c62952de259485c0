import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { parseText } from '$server/services/worth';

export const POST = endpoint(contract.parse, ({ body }) => parseText(body.text));
