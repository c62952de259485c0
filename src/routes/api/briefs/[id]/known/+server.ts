import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { addKnown, readDocument, writeDocument } from '$server/services/briefs/briefs';

export const GET = endpoint(contract.readKnown, ({ params }) => readDocument(params.id, 'known'));
export const PUT = endpoint(contract.writeKnown, ({ params, body }) => writeDocument(params.id, 'known', body));
export const POST = endpoint(contract.addKnown, ({ params, body }) => addKnown(params.id, body.people));
