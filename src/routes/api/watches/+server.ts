import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { listWatches } from '$server/features/watches/watches';

export const GET = endpoint(contract.listWatches, () => listWatches());
