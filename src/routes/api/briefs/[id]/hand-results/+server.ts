import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { recordByHand } from '$server/features/manual/record-by-hand';

export const POST = endpoint(contract.recordByHand, ({ params, body }) =>
  recordByHand(params.id, body.text, body.parent, body.sourceId, body.answers)
);
