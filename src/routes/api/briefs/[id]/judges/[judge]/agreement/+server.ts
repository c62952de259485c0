import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { agreementWith } from '$server/services/judges';

export const GET = endpoint(contract.agreement, ({ params }) => agreementWith(params.id, params.judge));
