import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { joinKept } from '$server/services/shortlist/change-kept';

export const POST = endpoint(contract.joinKept, ({ params, body }) => joinKept(params.id, params.list, body.numbers));
