import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { keepVersion, listVersions } from '$server/services/strings/versions';

export const GET = endpoint(contract.listVersions, ({ params }) => listVersions(params.id));
export const POST = endpoint(contract.keepVersion, ({ params, body }) =>
  keepVersion(params.id, body.text, body.parent)
);
