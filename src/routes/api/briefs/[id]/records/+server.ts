import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { recordsNamed } from '$server/services/identity';

export const GET = endpoint(contract.recordsNamed, ({ params, query }) => recordsNamed(params.id, query.name));
