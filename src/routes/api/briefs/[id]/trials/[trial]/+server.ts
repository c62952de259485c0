import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { readTrial } from '$server/services/trials';

export const GET = endpoint(contract.readTrial, ({ params }) => readTrial(params.id, params.trial));
