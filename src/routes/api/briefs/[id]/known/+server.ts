import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readDocument, writeDocument } from '$server/features/briefs/briefs';
import { addKnown } from '$server/features/briefs/people-lists';

export const GET = endpoint(contract.readKnown, ({ params }) => readDocument(params.id, 'known'));
export const PUT = endpoint(contract.writeKnown, ({ params, body }) => writeDocument(params.id, 'known', body));
export const POST = endpoint(contract.addKnown, ({ params, body }) => addKnown(params.id, body.people));
