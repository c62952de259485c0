import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readDocument, writeDocument } from '$server/features/briefs/briefs';

export const GET = endpoint(contract.readPersona, ({ params }) => readDocument(params.id, 'persona'));
export const PUT = endpoint(contract.writePersona, ({ params, body }) => writeDocument(params.id, 'persona', body));
