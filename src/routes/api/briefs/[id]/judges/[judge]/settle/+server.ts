import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { settle } from '$server/services/trials/judges';

export const POST = endpoint(contract.settle, ({ params, body }) => settle(params.id, params.judge, body));
