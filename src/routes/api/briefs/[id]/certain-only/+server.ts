import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { countCertainOnly } from '$server/services/briefs/briefs';

export const PUT = endpoint(contract.countCertainOnly, ({ params, body }) =>
  countCertainOnly(params.id, body.certainOnly)
);
