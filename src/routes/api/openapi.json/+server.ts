import { openApi } from '$server/api/openapi';

export const GET = () => Response.json(openApi());
