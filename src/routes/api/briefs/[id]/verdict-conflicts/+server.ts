import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { settleConflict } from '$server/services/trials/settle-conflict';

export const POST = endpoint(contract.settleConflict, ({ params, body }) => settleConflict(params.id, body));
