import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import { renderFor } from '$server/services/worth';

export const POST = endpoint(contract.render, ({ body }) => renderFor(body.text, body.sourceId));
