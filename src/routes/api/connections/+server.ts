import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { connectService } from '$server/services/sources/connections';

export const POST = endpoint(contract.connectService, ({ body }) => connectService(body));
