import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { resumeTrial } from '$server/features/trials/trials';

export const POST = endpoint(contract.resumeTrial, ({ params }) => resumeTrial(params.id, params.trial));
