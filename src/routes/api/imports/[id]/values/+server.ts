import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { readImportValues } from '$server/services/sources/imports/import-values';

export const POST = endpoint(contract.readImportValues, ({ params, body }) =>
  readImportValues(params.id, body.mapping)
);
