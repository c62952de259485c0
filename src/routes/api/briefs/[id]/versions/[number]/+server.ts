import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { noteVersion } from '$server/services/versions';

export const PATCH = endpoint(contract.noteVersion, ({ params, body }) =>
  noteVersion(params.id, params.number, body.note)
);
