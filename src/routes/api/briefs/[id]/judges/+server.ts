import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { listJudges } from '$server/features/trials/judges';

export const GET = endpoint(contract.listJudges, ({ params }) => listJudges(params.id));
