import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { chosenOf } from '$server/features/comparing/report';

export const GET = endpoint(contract.chosen, ({ params }) => chosenOf(params.id));
