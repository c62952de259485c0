import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { writeNote } from '$server/features/trials/notes';

export const PUT = endpoint(contract.writeNote, ({ params, body }) => writeNote(params.id, body));
