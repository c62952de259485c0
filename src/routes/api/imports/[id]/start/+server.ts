import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { startImport } from '$server/services/sources/imports/imports';

export const POST = endpoint(contract.startImport, ({ params, body }) => startImport(params.id, body));
