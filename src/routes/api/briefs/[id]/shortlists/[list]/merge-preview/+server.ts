import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { mergeInto } from '$server/features/shortlist/export-shortlist';

export const POST = endpoint(contract.mergePreview, ({ params, body }) =>
  mergeInto(params.id, params.list, body.leaving, body.there)
);
