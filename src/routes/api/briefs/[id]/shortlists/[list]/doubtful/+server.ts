import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { doubtfulKept } from '$server/services/shortlist/who-is-who';

export const GET = endpoint(contract.doubtfulKept, ({ params }) => doubtfulKept(params.id, params.list));
