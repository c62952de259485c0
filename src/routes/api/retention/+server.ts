import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { wouldGo } from '$server/services/running/retention';

export const GET = endpoint(contract.retention, wouldGo);
