import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { peopleBehind } from '$server/services/comparing/board';

export const GET = endpoint(contract.behind, ({ params, query }) =>
  peopleBehind(params.id, query.version, query.source, query.kind, query.certain, query.skip)
);
