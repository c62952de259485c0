import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { writeNote } from '$server/services/notes';

export const PUT = endpoint(contract.writeNote, ({ params, body }) => writeNote(params.id, body));
