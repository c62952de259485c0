import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { reportOf } from '$server/services/report';

export const GET = endpoint(contract.report, ({ params, query }) => reportOf(params.id, query?.certain));
