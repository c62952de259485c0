import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { recordByHand } from '$server/services/by-hand/record-by-hand';

export const POST = endpoint(contract.recordByHand, ({ params, body }) =>
  recordByHand(params.id, body.text, body.parent, body.sourceId, body.answers)
);
