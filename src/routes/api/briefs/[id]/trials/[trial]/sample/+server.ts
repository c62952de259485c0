import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { drawMore } from '$server/features/trials/trials';

export const POST = endpoint(contract.drawMore, ({ params, body }) => drawMore(params.id, params.trial, body.size));
