import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { markOf } from '$server/services/mark';

export const GET = endpoint(contract.mark, ({ params }) => markOf(params.id));
