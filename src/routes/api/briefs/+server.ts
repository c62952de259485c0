import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { createBrief } from '$server/features/briefs/briefs';
import { listBriefs } from '$server/features/trials/brief-overview';

export const GET = endpoint(contract.listBriefs, () => listBriefs());
export const POST = endpoint(contract.createBrief, ({ body }) => createBrief(body.name));
