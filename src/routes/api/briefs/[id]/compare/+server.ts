import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { boardFor } from '$server/features/comparing/board';

export const GET = endpoint(contract.compare, ({ params, query }) =>
  boardFor(params.id, query?.versions, query?.certain)
);
