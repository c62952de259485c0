import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { keepVersion, listVersions } from '$server/features/trials/versions';

export const GET = endpoint(contract.listVersions, ({ params }) => listVersions(params.id));
export const POST = endpoint(contract.keepVersion, ({ params, body }) =>
  keepVersion(params.id, body.text, body.parent)
);
