import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { stopTrial } from '$server/features/trials/trials';

export const POST = endpoint(contract.stopTrial, ({ params }) => stopTrial(params.id, params.trial));
