import { sheetJsonSchema } from '$server/http/openapi';

export const GET = () => Response.json(sheetJsonSchema());
