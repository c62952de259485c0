import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { changeEntry } from '$server/features/manual/diary';

export const PUT = endpoint(contract.changeEntry, ({ params, body }) => changeEntry(params.id, params.entry, body));
