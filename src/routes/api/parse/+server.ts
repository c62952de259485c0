import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { parseText } from '$server/features/strings/worth';

export const POST = endpoint(contract.parse, ({ body }) => parseText(body.text));
