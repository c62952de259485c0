import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { countWordings } from '$server/services/wording-counts';

export const POST = endpoint(contract.countWordings, ({ body }) => countWordings(body.sourceId, body.wordings));
