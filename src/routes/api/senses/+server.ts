import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { sensesOf } from '$server/services/strings/worth';

export const POST = endpoint(contract.senses, ({ body }) => sensesOf(body.text, body.sourceId));
