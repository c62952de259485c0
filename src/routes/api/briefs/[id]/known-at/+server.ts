import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { knownAt } from '$server/features/strings/ledger';

export const POST = endpoint(contract.knownAt, ({ params, body }) => knownAt(params.id, body.text, body.sourceId));
