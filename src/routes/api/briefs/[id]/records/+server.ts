import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { recordsNamed } from '$server/services/comparing/same-people';

export const GET = endpoint(contract.recordsNamed, ({ params, query }) => recordsNamed(params.id, query.name));
