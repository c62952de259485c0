import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { watchNameFor } from '$server/services/watches/watches';

export const GET = endpoint(contract.watchNameFor, ({ params }) => watchNameFor(params.id));
