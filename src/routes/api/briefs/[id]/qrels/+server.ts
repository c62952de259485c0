import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { exportQrels, importQrels } from '$server/services/trec';

export const GET = endpoint(contract.exportQrels, ({ params }) => exportQrels(params.id));
export const POST = endpoint(contract.importQrels, ({ params, body }) => importQrels(params.id, body.text));
