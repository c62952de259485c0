import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { sourcesSideBySide } from '$server/services/comparing/side-by-side';

export const GET = endpoint(contract.sourcesSideBySide, ({ params, query }) =>
  sourcesSideBySide(params.id, query.version, query.here, query.there, query.certain)
);
