import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { countCertainOnly } from '$server/services/briefs';

export const PUT = endpoint(contract.countCertainOnly, ({ params, body }) =>
  countCertainOnly(params.id, body.certainOnly)
);
