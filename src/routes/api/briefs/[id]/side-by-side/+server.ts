import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { versionsSideBySide } from '$server/features/comparing/side-by-side';

export const GET = endpoint(contract.sideBySide, ({ params, query }) =>
  versionsSideBySide(params.id, query.from, query.to, query.source, query.size, query.certain)
);
