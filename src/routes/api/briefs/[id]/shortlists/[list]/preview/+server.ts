import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { previewExport } from '$server/features/shortlist/export-shortlist';

export const POST = endpoint(contract.previewExport, ({ params, body }) => previewExport(params.id, params.list, body));
