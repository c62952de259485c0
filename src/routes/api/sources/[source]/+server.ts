import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { deleteSource, readSource, writeSheet } from '$server/features/sources/sources';

export const GET = endpoint(contract.readSource, ({ params }) => readSource(params.source));
export const PUT = endpoint(contract.writeSheet, ({ params, body }) => writeSheet(params.source, body));
export const DELETE = endpoint(contract.deleteSource, ({ params }) => deleteSource(params.source));
