import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';

export const GET = endpoint(contract.live, async () => ({ live: true as const }));
