import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { leaveOutSources } from '$server/services/briefs/briefs';

export const PUT = endpoint(contract.leaveOutSources, ({ params, body }) => leaveOutSources(params.id, body.leftOut));
