import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { arrangeSources, createByHand, listSources } from '$server/features/sources/sources';

export const GET = endpoint(contract.listSources, listSources);
export const PUT = endpoint(contract.arrangeSources, ({ body }) => arrangeSources(body));
export const POST = endpoint(contract.createByHand, ({ body }) => createByHand(body.sheet));
