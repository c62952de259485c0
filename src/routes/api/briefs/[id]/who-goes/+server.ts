import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { whoGoes } from '$server/services/comparing/side-by-side';

export const POST = endpoint(contract.whoGoes, ({ params, body }) =>
  whoGoes(params.id, body.from, body.to, body.sourceId, body.size, body.certain)
);
