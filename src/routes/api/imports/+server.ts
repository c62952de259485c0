import { contract } from '$server/api/contract';
import { endpoint } from '$server/api/endpoint';
import type { ReadableStream } from 'node:stream/web';
import { receiveFile } from '$server/services/imports/imports';

export const POST = endpoint(contract.receiveFile, ({ query, event }) =>
  receiveFile(query.name, event.request.body as ReadableStream | null)
);
