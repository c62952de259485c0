import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { agreementWith } from '$server/services/trials/judges';

export const GET = endpoint(contract.agreement, ({ params }) => agreementWith(params.id, params.judge));
