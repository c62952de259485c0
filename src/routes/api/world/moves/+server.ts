import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { moveWorld } from '$server/services/sources/world';

export const POST = endpoint(contract.moveWorld, ({ body }) => moveWorld(body));
