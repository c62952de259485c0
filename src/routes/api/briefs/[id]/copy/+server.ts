import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { copyBrief } from '$server/services/briefs';

export const POST = endpoint(contract.copyBrief, ({ params }) => copyBrief(params.id));
