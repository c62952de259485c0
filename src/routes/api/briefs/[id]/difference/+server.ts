import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { differenceBetween } from '$server/services/compare';

export const GET = endpoint(contract.difference, ({ params, query }) =>
  differenceBetween(params.id, query.from, query.to, query.source)
);
