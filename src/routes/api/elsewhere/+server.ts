import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { elsewhere } from '$server/services/strings/ledger';

export const POST = endpoint(contract.elsewhere, ({ body }) => elsewhere(body.person, body.except));
