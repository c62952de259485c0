import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { wouldGo } from '$server/features/operations/retention';

export const GET = endpoint(contract.retention, wouldGo);
