import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { mergeInto } from '$server/services/shortlist/export-shortlist';

export const POST = endpoint(contract.mergePreview, ({ params, body }) =>
  mergeInto(params.id, params.list, body.leaving, body.there)
);
