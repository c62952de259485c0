import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { splitKept } from '$server/services/shortlist/who-is-who';

export const POST = endpoint(contract.splitKept, ({ params, body }) =>
  splitKept(params.id, params.list, params.number, body.record)
);
