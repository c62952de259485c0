import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { proposalsFor } from '$server/services/strings/ledger';

export const POST = endpoint(contract.proposals, ({ params, body }) =>
  proposalsFor(params.id, body.text, body.sourceIds)
);
