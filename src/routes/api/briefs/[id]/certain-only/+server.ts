import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { countCertainOnly } from '$server/features/briefs/briefs';

export const PUT = endpoint(contract.countCertainOnly, ({ params, body }) =>
  countCertainOnly(params.id, body.certainOnly)
);
