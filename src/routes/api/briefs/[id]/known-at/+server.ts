import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { knownAt } from '$server/services/ledger';

export const POST = endpoint(contract.knownAt, ({ params, body }) => knownAt(params.id, body.text, body.sourceId));
