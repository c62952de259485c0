import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { listProfiles } from '$server/services/shortlist/column-profiles';

export const GET = endpoint(contract.listProfiles, () => listProfiles());
