import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { startImport } from '$server/services/imports/imports';

export const POST = endpoint(contract.startImport, ({ params, body }) =>
  startImport(params.id, body.name, body.mapping, body.skipBadRows, body.into)
);
