import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { settleConflict } from '$server/services/settle-conflict';

export const POST = endpoint(contract.settleConflict, ({ params, body }) => settleConflict(params.id, body));
