import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { nameVersion } from '$server/features/trials/versions';

export const PATCH = endpoint(contract.nameVersion, ({ params, body }) => nameVersion(params.id, params.number, body));
