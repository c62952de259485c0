import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { orderAnew } from '$server/services/harvest/harvest-people';

export const POST = endpoint(contract.orderHarvest, ({ params }) => orderAnew(params.id, params.harvest));
