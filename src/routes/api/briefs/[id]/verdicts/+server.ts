import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { giveVerdict } from '$server/services/verdicts';

export const PUT = endpoint(contract.giveVerdict, ({ params, body }) => giveVerdict(params.id, body));
