import { connectorOpenApi } from '$server/http/openapi';

export const GET = () => Response.json(connectorOpenApi());
