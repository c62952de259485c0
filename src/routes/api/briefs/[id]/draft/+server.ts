import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readDocument, writeDocument } from '$server/features/briefs/briefs';

export const GET = endpoint(contract.readDraft, ({ params }) => readDocument(params.id, 'draft'));
export const PUT = endpoint(contract.writeDraft, ({ params, body }) => writeDocument(params.id, 'draft', body));
