import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { valuesAt } from '$server/services/strings/worth';

export const GET = endpoint(contract.readValues, ({ params, query }) =>
  valuesAt(params.source, query.scope, query.begins)
);
