import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { splitKept } from '$server/features/shortlist/who-is-who';

export const POST = endpoint(contract.splitKept, ({ params, body }) =>
  splitKept(params.id, params.list, params.number, body.record)
);
