import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { pairsOf } from '$server/services/comparing/same-people';

export const GET = endpoint(contract.listPairs, ({ params }) => pairsOf(params.id));
