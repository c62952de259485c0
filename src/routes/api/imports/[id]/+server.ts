import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { readImport, stopImport } from '$server/services/sources/imports/imports';

export const GET = endpoint(contract.readImport, ({ params }) => readImport(params.id));
export const DELETE = endpoint(contract.stopImport, ({ params }) => stopImport(params.id));
