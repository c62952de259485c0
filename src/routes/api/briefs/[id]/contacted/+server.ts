import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readDocument, writeDocument } from '$server/features/briefs/briefs';

export const GET = endpoint(contract.readContacted, ({ params }) => readDocument(params.id, 'contacted'));
export const PUT = endpoint(contract.writeContacted, ({ params, body }) => writeDocument(params.id, 'contacted', body));
