import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { proposalsFor } from '$server/features/strings/ledger';

/** Milliseconds after which somebody at the screen would rather see what was found so far. */
const milliseconds = 1500;

export const POST = endpoint(contract.proposals, ({ params, body: { text, sourceIds, from = 0 } }) =>
  proposalsFor(params.id, text, sourceIds, { from, milliseconds })
);
