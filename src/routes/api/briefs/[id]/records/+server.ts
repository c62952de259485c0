import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { recordsNamed } from '$server/features/comparing/same-people';

export const GET = endpoint(contract.recordsNamed, ({ params, query }) => recordsNamed(params.id, query.name));
