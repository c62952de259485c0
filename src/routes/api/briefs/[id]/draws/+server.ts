import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { drawAtOnce } from '$server/services/trials/trials';

export const POST = endpoint(contract.drawAtOnce, ({ params, body }) => drawAtOnce(params.id, body.draws));
