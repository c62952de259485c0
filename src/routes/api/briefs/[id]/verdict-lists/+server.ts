import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { judgeMany } from '$server/features/trials/verdicts';

export const PUT = endpoint(contract.judgeMany, ({ params, body }) => judgeMany(params.id, body.verdicts));
