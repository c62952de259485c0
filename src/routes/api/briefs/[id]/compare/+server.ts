import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { compareVersions } from '$server/services/compare';

export const GET = endpoint(contract.compare, ({ params, query }) => compareVersions(params.id, query.versions));
