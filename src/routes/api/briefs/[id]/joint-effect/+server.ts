import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { jointEffect } from '$server/services/ledger';

export const POST = endpoint(contract.jointEffect, ({ params, body }) =>
  jointEffect(params.id, body.text, body.changes, body.sourceIds)
);
