import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { proposalsFor } from '$server/services/ledger';

export const POST = endpoint(contract.proposals, ({ params, body }) =>
  proposalsFor(params.id, body.text, body.sourceIds)
);
