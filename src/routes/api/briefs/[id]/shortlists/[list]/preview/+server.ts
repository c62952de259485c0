import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { lookAlong } from '$server/services/shortlist/take-along';

export const GET = endpoint(contract.lookAlong, ({ params, query }) => lookAlong(params.id, params.list, query));
