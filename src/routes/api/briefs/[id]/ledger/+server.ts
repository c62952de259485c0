import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { ledgerOf } from '$server/services/strings/ledger';

export const POST = endpoint(contract.ledger, ({ params, body }) =>
  ledgerOf(params.id, body.text, body.sourceId, body.order)
);
