import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { importBrief } from '$server/services/brief-file';

export const POST = endpoint(contract.importBrief, ({ body }) => importBrief(body));
