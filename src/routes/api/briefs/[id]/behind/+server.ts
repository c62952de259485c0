import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { peopleBehind } from '$server/services/board';

export const GET = endpoint(contract.behind, ({ params, query }) =>
  peopleBehind(params.id, query.version, query.source, query.kind, query.certain)
);
