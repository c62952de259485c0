import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { resumeTrial } from '$server/services/trials';

export const POST = endpoint(contract.resumeTrial, ({ params }) => resumeTrial(params.id, params.trial));
