import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { boardFor } from '$server/services/board';

export const GET = endpoint(contract.compare, ({ params, query }) =>
  boardFor(params.id, query?.versions, query?.certain)
);
