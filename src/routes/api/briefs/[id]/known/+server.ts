import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { readDocument, writeDocument } from '$server/services/briefs';

export const GET = endpoint(contract.readKnown, ({ params }) => readDocument(params.id, 'known'));
export const PUT = endpoint(contract.writeKnown, ({ params, body }) => writeDocument(params.id, 'known', body));
