import { connectorOpenApi } from '$server/api/openapi';

export const GET = () => Response.json(connectorOpenApi());
