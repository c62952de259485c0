import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { valuesAt } from '$server/features/strings/worth';

export const GET = endpoint(contract.readValues, ({ params, query }) =>
  valuesAt(params.source, query.scope, query.begins)
);
