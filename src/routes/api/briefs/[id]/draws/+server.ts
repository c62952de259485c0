import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { drawAtOnce } from '$server/features/trials/trials';

export const POST = endpoint(contract.drawAtOnce, ({ params, body }) => drawAtOnce(params.id, body.draws));
