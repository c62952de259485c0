import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { deleteSource } from '$server/services/sources';

export const DELETE = endpoint(contract.deleteSource, ({ params }) => deleteSource(params.source));
