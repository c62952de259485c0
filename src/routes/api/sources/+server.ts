import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { arrangeSources, createByHand, listSources } from '$server/services/sources/sources';

export const GET = endpoint(contract.listSources, listSources);
export const PUT = endpoint(contract.arrangeSources, ({ body }) => arrangeSources(body));
export const POST = endpoint(contract.createByHand, ({ body }) => createByHand(body.sheet));
