import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { ledgerOf } from '$server/features/strings/ledger';

export const POST = endpoint(contract.ledger, ({ params, body }) =>
  ledgerOf(params.id, body.text, body.sourceId, body.order)
);
