import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { checkMail } from '$server/features/shortlist/mail-run';

export const POST = endpoint(contract.checkMail, ({ params, body }) => checkMail(params.id, params.list, body));
