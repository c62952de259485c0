import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { resumeTrial } from '$server/services/trials/trials';

export const POST = endpoint(contract.resumeTrial, ({ params }) => resumeTrial(params.id, params.trial));
