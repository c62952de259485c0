import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { changeKept } from '$server/features/shortlist/change-kept';
import { keepPeople } from '$server/features/shortlist/keep';
import { listKept } from '$server/features/shortlist/list-kept';

export const GET = endpoint(contract.listKept, ({ params, query }) => listKept(params.id, params.list, query ?? {}));
export const POST = endpoint(contract.keepPeople, ({ params, body }) =>
  keepPeople({ briefId: params.id, id: params.list, ...body })
);
export const PATCH = endpoint(contract.changeKept, ({ params, body }) =>
  changeKept(params.id, params.list, body.which, body.change, body.was)
);
