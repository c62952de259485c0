import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { runAtSources } from '$server/services/trials/trials';

export const POST = endpoint(contract.runAtSources, ({ params, body }) => runAtSources(params.id, body));
