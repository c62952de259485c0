import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { sensesOf } from '$server/services/worth';

export const POST = endpoint(contract.senses, ({ body }) => sensesOf(body.text, body.sourceId));
