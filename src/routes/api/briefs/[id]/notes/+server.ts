import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { writeNote } from '$server/services/trials/notes';

export const PUT = endpoint(contract.writeNote, ({ params, body }) => writeNote(params.id, body));
