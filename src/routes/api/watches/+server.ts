import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { listWatches } from '$server/services/watches/watches';

export const GET = endpoint(contract.listWatches, () => listWatches());
