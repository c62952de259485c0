import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { peopleBehind } from '$server/features/comparing/board';

export const GET = endpoint(contract.behind, ({ params, query }) =>
  peopleBehind(params.id, query.version, query.source, query.kind, query.certain, query.skip)
);
