import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { leaveOutSources } from '$server/features/briefs/briefs';

export const PUT = endpoint(contract.leaveOutSources, ({ params, body }) => leaveOutSources(params.id, body.leftOut));
