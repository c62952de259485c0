import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { checkMail } from '$server/services/shortlist/mail-run';

export const POST = endpoint(contract.checkMail, ({ params, body }) => checkMail(params.id, params.list, body));
