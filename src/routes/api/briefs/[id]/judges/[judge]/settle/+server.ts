import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { settle } from '$server/features/trials/judges';

export const POST = endpoint(contract.settle, ({ params, body }) => settle(params.id, params.judge, body));
