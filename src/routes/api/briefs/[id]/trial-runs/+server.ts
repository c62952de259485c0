import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { runAtSources } from '$server/features/trials/trials';

export const POST = endpoint(contract.runAtSources, ({ params, body }) => runAtSources(params.id, body));
