import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readConnection, reconnect } from '$server/features/sources/connections';

export const GET = endpoint(contract.readConnection, ({ params }) => readConnection(params.source));
export const PUT = endpoint(contract.reconnect, ({ params, body }) => reconnect(params.source, body));
