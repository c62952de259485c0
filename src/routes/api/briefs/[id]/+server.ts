import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { changeBrief, deleteBrief } from '$server/features/briefs/briefs';
import { readBrief } from '$server/features/trials/brief-overview';

export const GET = endpoint(contract.readBrief, ({ params }) => readBrief(params.id));
export const PATCH = endpoint(contract.changeBrief, ({ params, body }) => changeBrief(params.id, body));
export const DELETE = endpoint(contract.deleteBrief, ({ params }) => deleteBrief(params.id));
