import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { countObjections, objectTo } from '$server/services/objections/erase';

export const GET = endpoint(contract.countObjections, () => countObjections());
export const POST = endpoint(contract.object, ({ body }) => objectTo(body));
