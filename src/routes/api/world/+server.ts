import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { readWorld } from '$server/services/sources/world';

export const GET = endpoint(contract.readWorld, readWorld);
