import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { nameVersion } from '$server/services/versions';

export const PATCH = endpoint(contract.nameVersion, ({ params, body }) => nameVersion(params.id, params.number, body));
