import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { stopTrial } from '$server/services/trials/trials';

export const POST = endpoint(contract.stopTrial, ({ params }) => stopTrial(params.id, params.trial));
