import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { connectService } from '$server/features/sources/connections';

export const POST = endpoint(contract.connectService, ({ body }) => connectService(body));
