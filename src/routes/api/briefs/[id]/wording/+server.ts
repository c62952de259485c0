import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { readDocument, writeDocument } from '$server/features/briefs/briefs';

export const GET = endpoint(contract.readWording, ({ params }) => readDocument(params.id, 'wording'));
export const PUT = endpoint(contract.writeWording, ({ params, body }) => writeDocument(params.id, 'wording', body));
