import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { reportOf } from '$server/features/comparing/report';

export const GET = endpoint(contract.report, ({ params, query }) => reportOf(params.id, query?.certain));
