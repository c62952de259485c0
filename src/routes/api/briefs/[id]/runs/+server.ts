import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { exportRuns, importRuns } from '$server/services/trec';

export const GET = endpoint(contract.exportRuns, ({ params, query }) => exportRuns(params.id, query?.certain));
export const POST = endpoint(contract.importRuns, ({ params, body }) => importRuns(params.id, body.text));
