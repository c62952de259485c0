import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { jointEffect } from '$server/features/strings/ledger';

export const POST = endpoint(contract.jointEffect, ({ params, body }) =>
  jointEffect(params.id, body.text, body.changes, body.sourceIds)
);
