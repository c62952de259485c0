import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { resetDemo } from '$server/services/briefs/demo';

export const POST = endpoint(contract.resetDemo, () => resetDemo());
