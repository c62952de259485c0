import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { doubtfulKept } from '$server/features/shortlist/who-is-who';

export const GET = endpoint(contract.doubtfulKept, ({ params }) => doubtfulKept(params.id, params.list));
