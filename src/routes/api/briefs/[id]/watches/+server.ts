import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { createWatch } from '$server/services/watches/watches';

export const POST = endpoint(contract.createWatch, ({ params, body }) => createWatch(params.id, body));
