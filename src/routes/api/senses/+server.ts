import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { sensesOf } from '$server/features/strings/worth';

export const POST = endpoint(contract.senses, ({ body }) => sensesOf(body.text, body.sourceId));
