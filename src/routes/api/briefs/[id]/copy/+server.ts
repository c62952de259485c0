import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { copyBrief } from '$server/features/briefs/briefs';

export const POST = endpoint(contract.copyBrief, ({ params }) => copyBrief(params.id));
