import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { jointEffect } from '$server/services/strings/ledger';

export const POST = endpoint(contract.jointEffect, ({ params, body }) =>
  jointEffect(params.id, body.text, body.changes, body.sourceIds)
);
