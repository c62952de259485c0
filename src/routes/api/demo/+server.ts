import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { resetDemo } from '$server/demo/demo';

export const POST = endpoint(contract.resetDemo, () => resetDemo());
