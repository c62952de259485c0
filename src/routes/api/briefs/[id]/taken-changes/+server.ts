import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { takeChanges } from '$server/features/trials/versions';

export const POST = endpoint(contract.takeChanges, ({ params, body }) => takeChanges(params.id, body));
