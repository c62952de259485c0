import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { parseText } from '$server/services/strings/worth';

export const POST = endpoint(contract.parse, ({ body }) => parseText(body.text));
