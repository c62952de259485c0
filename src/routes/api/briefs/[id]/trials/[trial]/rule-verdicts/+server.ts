import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { judgeByRule } from '$server/services/trials/rule-verdicts';

export const POST = endpoint(contract.judgeByRule, ({ params }) => judgeByRule(params.id, params.trial));
