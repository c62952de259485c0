import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { moveWorld } from '$server/features/sources/world';

export const POST = endpoint(contract.moveWorld, ({ body }) => moveWorld(body));
