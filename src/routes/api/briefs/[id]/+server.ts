import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { changeBrief, deleteBrief, readBrief } from '$server/services/briefs/briefs';

export const GET = endpoint(contract.readBrief, ({ params }) => readBrief(params.id));
export const PATCH = endpoint(contract.changeBrief, ({ params, body }) => changeBrief(params.id, body));
export const DELETE = endpoint(contract.deleteBrief, ({ params }) => deleteBrief(params.id));
