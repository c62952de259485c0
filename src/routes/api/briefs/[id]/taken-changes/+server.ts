import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { takeChanges } from '$server/services/strings/versions';

export const POST = endpoint(contract.takeChanges, ({ params, body }) => takeChanges(params.id, body));
