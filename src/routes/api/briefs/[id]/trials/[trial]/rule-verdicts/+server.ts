import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { judgeByRule, takeBackRules } from '$server/features/trials/rule-verdicts';

export const POST = endpoint(contract.judgeByRule, ({ params }) => judgeByRule(params.id, params.trial));
export const DELETE = endpoint(contract.takeBackRules, ({ params }) => takeBackRules(params.id, params.trial));
