import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { elsewhere } from '$server/features/strings/ledger';

export const POST = endpoint(contract.elsewhere, ({ body }) => elsewhere(body.person, body.except));
