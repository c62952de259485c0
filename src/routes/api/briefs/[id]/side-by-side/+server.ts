import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { versionsSideBySide } from '$server/services/side-by-side';

export const GET = endpoint(contract.sideBySide, ({ params, query }) =>
  versionsSideBySide(params.id, query.from, query.to, query.source, query.size, query.certain)
);
