import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readImportValues } from '$server/features/imports/import-values';

export const POST = endpoint(contract.readImportValues, ({ params, body }) =>
  readImportValues(params.id, body.mapping)
);
