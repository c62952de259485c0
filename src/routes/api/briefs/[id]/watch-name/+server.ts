import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { watchNameFor } from '$server/features/watches/watches';

export const GET = endpoint(contract.watchNameFor, ({ params }) => watchNameFor(params.id));
