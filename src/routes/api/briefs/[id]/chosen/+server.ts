import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { chosenOf } from '$server/services/report';

export const GET = endpoint(contract.chosen, ({ params }) => chosenOf(params.id));
