import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { recordByHand } from '$server/services/by-hand';

export const POST = endpoint(contract.recordByHand, ({ params, body }) =>
  recordByHand(params.id, body.text, body.parent, body.sourceId, body.answers)
);
