import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { judgeMany } from '$server/services/trials/verdicts';

export const PUT = endpoint(contract.judgeMany, ({ params, body }) => judgeMany(params.id, body.verdicts));
