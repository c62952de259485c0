import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { settleConflict } from '$server/features/trials/settle-conflict';

export const POST = endpoint(contract.settleConflict, ({ params, body }) => settleConflict(params.id, body));
