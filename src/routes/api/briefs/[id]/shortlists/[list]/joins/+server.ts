import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { joinKept } from '$server/services/shortlist/who-is-who';

export const POST = endpoint(contract.joinKept, ({ params, body }) => joinKept(params.id, params.list, body.numbers));
