import { sheetJsonSchema } from '$server/api/openapi';

export const GET = () => Response.json(sheetJsonSchema());
