import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { exportBrief } from '$server/services/brief-file';

export const GET = endpoint(contract.exportBrief, ({ params }) => exportBrief(params.id));
