import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { reportOf } from '$server/services/comparing/report';

export const GET = endpoint(contract.report, ({ params, query }) => reportOf(params.id, query?.certain));
