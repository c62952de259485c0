import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { worthOf } from '$server/services/worth';

export const POST = endpoint(contract.worth, ({ body }) => worthOf(body.text, body.sourceId));
