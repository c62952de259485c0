import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { boardFor } from '$server/services/comparing/board';

export const GET = endpoint(contract.compare, ({ params, query }) =>
  boardFor(params.id, query?.versions, query?.certain)
);
