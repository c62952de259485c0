import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { listJudges } from '$server/services/trials/judges';

export const GET = endpoint(contract.listJudges, ({ params }) => listJudges(params.id));
