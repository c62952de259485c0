import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { createByHand, listSources } from '$server/services/sources';

export const GET = endpoint(contract.listSources, listSources);
export const POST = endpoint(contract.createByHand, ({ body }) => createByHand(body.sheet));
