import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { chosenOf } from '$server/services/comparing/report';

export const GET = endpoint(contract.chosen, ({ params }) => chosenOf(params.id));
