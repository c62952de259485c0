import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { listProfiles } from '$server/features/shortlist/column-profiles';

export const GET = endpoint(contract.listProfiles, () => listProfiles());
