import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { listSources } from '$server/services/sources';

export const GET = endpoint(contract.listSources, () => listSources());
