import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readWorld } from '$server/features/sources/world';

export const GET = endpoint(contract.readWorld, readWorld);
