import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readKept } from '$server/features/shortlist/list-kept';

export const GET = endpoint(contract.readKept, ({ params }) => readKept(params.id, params.list, params.number));
