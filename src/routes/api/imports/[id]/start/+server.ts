import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { startImport } from '$server/features/imports/imports';

export const POST = endpoint(contract.startImport, ({ params, body }) => startImport(params.id, body));
