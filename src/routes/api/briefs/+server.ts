import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { createBrief, listBriefs } from '$server/services/briefs/briefs';

export const GET = endpoint(contract.listBriefs, () => listBriefs());
export const POST = endpoint(contract.createBrief, ({ body }) => createBrief(body.name));
