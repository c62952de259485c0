import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { countObjections, objectTo } from '$server/records/objections/erase';

export const GET = endpoint(contract.countObjections, () => countObjections());
export const POST = endpoint(contract.object, ({ body }) => objectTo(body));
