import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readImport, stopImport } from '$server/features/imports/imports';

export const GET = endpoint(contract.readImport, ({ params }) => readImport(params.id));
export const DELETE = endpoint(contract.stopImport, ({ params }) => stopImport(params.id));
