import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { copyBrief } from '$server/services/briefs/briefs';

export const POST = endpoint(contract.copyBrief, ({ params }) => copyBrief(params.id));
