import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { nameVersion } from '$server/services/strings/versions';

export const PATCH = endpoint(contract.nameVersion, ({ params, body }) => nameVersion(params.id, params.number, body));
