import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { readDocument, writeDocument } from '$server/services/briefs/briefs';

export const GET = endpoint(contract.readWording, ({ params }) => readDocument(params.id, 'wording'));
export const PUT = endpoint(contract.writeWording, ({ params, body }) => writeDocument(params.id, 'wording', body));
