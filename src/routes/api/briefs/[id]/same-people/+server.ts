import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { pairsOf } from '$server/services/identity';

export const GET = endpoint(contract.listPairs, ({ params }) => pairsOf(params.id));
