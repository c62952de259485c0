import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { settle } from '$server/services/judges';

export const POST = endpoint(contract.settle, ({ params, body }) => settle(params.id, params.judge, body));
