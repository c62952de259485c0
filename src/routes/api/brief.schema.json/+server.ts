import { briefJsonSchema } from '$server/api/openapi';

export const GET = () => Response.json(briefJsonSchema());
