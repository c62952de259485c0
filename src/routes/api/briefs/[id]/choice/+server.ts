import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readDocument, writeDocument } from '$server/features/briefs/briefs';

export const GET = endpoint(contract.readChoice, ({ params }) => readDocument(params.id, 'choice'));
export const PUT = endpoint(contract.writeChoice, ({ params, body }) => writeDocument(params.id, 'choice', body));
