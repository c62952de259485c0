import { contract } from '$api';
import { endpoint } from '$server/http/endpoint';
import type { ReadableStream } from 'node:stream/web';
import { receiveFile } from '$server/features/imports/imports';

export const POST = endpoint(contract.receiveFile, ({ query, event }) =>
  receiveFile(
    query.name,
    event.request.body as ReadableStream | null,
    Number(event.request.headers.get('content-length') ?? 0)
  )
);
