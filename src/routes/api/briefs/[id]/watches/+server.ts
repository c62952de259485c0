import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { createWatch } from '$server/features/watches/watches';

export const POST = endpoint(contract.createWatch, ({ params, body }) => createWatch(params.id, body));
