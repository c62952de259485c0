import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { giveJudgement, judgementsOn } from '$server/features/trials/judges';

export const GET = endpoint(contract.readJudgements, ({ params, query }) =>
  judgementsOn(params.id, params.judge, query.source)
);
export const PUT = endpoint(contract.giveJudgement, ({ params, body }) => giveJudgement(params.id, params.judge, body));
