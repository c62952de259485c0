import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';

export const GET = endpoint(contract.live, async () => ({ live: true as const }));
