import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { judgeByRule, takeBackRules } from '$server/services/trials/rule-verdicts';

export const POST = endpoint(contract.judgeByRule, ({ params }) => judgeByRule(params.id, params.trial));
export const DELETE = endpoint(contract.takeBackRules, ({ params }) => takeBackRules(params.id, params.trial));
