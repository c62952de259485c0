import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { stopTrial } from '$server/services/trials';

export const POST = endpoint(contract.stopTrial, ({ params }) => stopTrial(params.id, params.trial));
