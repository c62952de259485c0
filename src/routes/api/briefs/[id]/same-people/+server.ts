import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { pairsOf } from '$server/features/comparing/same-people';

export const GET = endpoint(contract.listPairs, ({ params }) => pairsOf(params.id));
