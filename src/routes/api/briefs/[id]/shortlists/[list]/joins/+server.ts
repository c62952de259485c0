import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { joinKept } from '$server/features/shortlist/who-is-who';

export const POST = endpoint(contract.joinKept, ({ params, body }) => joinKept(params.id, params.list, body.numbers));
