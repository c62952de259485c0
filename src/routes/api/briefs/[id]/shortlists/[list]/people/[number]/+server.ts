import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { readKept } from '$server/services/shortlist/list-kept';

export const GET = endpoint(contract.readKept, ({ params }) => readKept(params.id, params.list, params.number));
