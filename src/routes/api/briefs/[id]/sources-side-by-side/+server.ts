import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { sourcesSideBySide } from '$server/features/comparing/side-by-side';

export const GET = endpoint(contract.sourcesSideBySide, ({ params, query }) =>
  sourcesSideBySide(params.id, query.version, query.here, query.there, query.certain)
);
