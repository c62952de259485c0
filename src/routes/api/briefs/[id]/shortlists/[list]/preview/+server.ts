import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { lookAlong } from '$server/services/shortlist/take-along';

export const POST = endpoint(contract.lookAlong, ({ params, body }) => lookAlong(params.id, params.list, body));
