import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { previewExport } from '$server/services/shortlist/export-shortlist';

export const POST = endpoint(contract.previewExport, ({ params, body }) => previewExport(params.id, params.list, body));
