import { contract } from '$api';
import { endpoint } from '$server/api/endpoint';
import { renderFor } from '$server/services/strings/worth';

export const POST = endpoint(contract.render, ({ body }) => renderFor(body.text, body.sourceId));
