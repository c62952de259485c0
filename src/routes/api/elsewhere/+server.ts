import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { elsewhere } from '$server/services/ledger';

export const POST = endpoint(contract.elsewhere, ({ body }) => elsewhere(body.person, body.except));
