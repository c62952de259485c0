import { openApi } from '$server/http/openapi';

export const GET = () => Response.json(openApi());
