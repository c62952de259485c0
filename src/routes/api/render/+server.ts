import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import { renderFor } from '$server/features/strings/worth';

export const POST = endpoint(contract.render, ({ body }) => renderFor(body.text, body.sourceId));
