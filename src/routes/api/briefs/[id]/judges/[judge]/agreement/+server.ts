import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { agreementWith } from '$server/features/trials/judges';

export const GET = endpoint(contract.agreement, ({ params }) => agreementWith(params.id, params.judge));
