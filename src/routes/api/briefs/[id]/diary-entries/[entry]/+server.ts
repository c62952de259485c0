import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { changeEntry } from '$server/services/by-hand/diary';

export const PUT = endpoint(contract.changeEntry, ({ params, body }) => changeEntry(params.id, params.entry, body));
