import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { createByHand, listSources } from '$server/services/sources/sources';

export const GET = endpoint(contract.listSources, listSources);
export const POST = endpoint(contract.createByHand, ({ body }) => createByHand(body.sheet));
