import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { whoGoes } from '$server/features/comparing/side-by-side';

export const POST = endpoint(contract.whoGoes, ({ params, body }) =>
  whoGoes(params.id, body.from, body.to, body.sourceId, body.size, body.certain)
);
