import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { drawMore } from '$server/services/trials/trials';

export const POST = endpoint(contract.drawMore, ({ params, body }) => drawMore(params.id, params.trial, body.size));
