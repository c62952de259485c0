import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { orderAnew } from '$server/features/harvest/harvest-people';

export const POST = endpoint(contract.orderHarvest, ({ params }) => orderAnew(params.id, params.harvest));
