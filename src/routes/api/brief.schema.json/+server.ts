import { briefJsonSchema } from '$server/http/openapi';

export const GET = () => Response.json(briefJsonSchema());
