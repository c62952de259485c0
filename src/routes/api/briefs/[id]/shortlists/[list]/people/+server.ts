import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { changeKept } from '$server/services/shortlist/change-kept';
import { keepPeople } from '$server/services/shortlist/keep';
import { listKept } from '$server/services/shortlist/list-kept';

export const GET = endpoint(contract.listKept, ({ params, query }) => listKept(params.id, params.list, query ?? {}));
export const POST = endpoint(contract.keepPeople, ({ params, body }) =>
  keepPeople({ briefId: params.id, id: params.list, ...body })
);
export const PATCH = endpoint(contract.changeKept, ({ params, body }) =>
  changeKept(params.id, params.list, body.which, body.change, body.was)
);
