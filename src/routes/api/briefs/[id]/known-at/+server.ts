import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { knownAt } from '$server/services/strings/ledger';

export const POST = endpoint(contract.knownAt, ({ params, body }) => knownAt(params.id, body.text, body.sourceId));
