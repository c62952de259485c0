import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { deleteProfile, writeProfile } from '$server/services/shortlist/column-profiles';

export const PUT = endpoint(contract.writeProfile, ({ params, body }) => writeProfile(params.name, body));
export const DELETE = endpoint(contract.deleteProfile, ({ params }) => deleteProfile(params.name));
