import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { giveVerdict } from '$server/services/trials/verdicts';

export const PUT = endpoint(contract.giveVerdict, ({ params, body }) => giveVerdict(params.id, body));
