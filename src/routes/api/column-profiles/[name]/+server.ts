import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { deleteProfile, writeProfile } from '$server/features/shortlist/column-profiles';

export const PUT = endpoint(contract.writeProfile, ({ params, body }) => writeProfile(params.name, body));
export const DELETE = endpoint(contract.deleteProfile, ({ params }) => deleteProfile(params.name));
