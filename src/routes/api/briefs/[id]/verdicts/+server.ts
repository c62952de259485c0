import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { giveVerdict } from '$server/features/trials/verdicts';

export const PUT = endpoint(contract.giveVerdict, ({ params, body }) => giveVerdict(params.id, body));
