import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { listJudges } from '$server/services/judges';

export const GET = endpoint(contract.listJudges, ({ params }) => listJudges(params.id));
