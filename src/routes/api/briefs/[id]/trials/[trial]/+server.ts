import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { deleteTrial, readTrial } from '$server/features/trials/trials';

export const GET = endpoint(contract.readTrial, ({ params }) => readTrial(params.id, params.trial));
export const DELETE = endpoint(contract.deleteTrial, ({ params }) => deleteTrial(params.id, params.trial));
