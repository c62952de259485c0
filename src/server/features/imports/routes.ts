import type { ReadableStream } from 'node:stream/web';
import { readImport, receiveFile, startImport, stopImport } from './imports';
import { readImportValues } from './import-values';
import type { Handlers } from '$server/http/handlers';

export const importRoutes = {
  receiveFile: ({ query, event }) =>
    receiveFile(
      query.name,
      event.request.body as ReadableStream | null,
      Number(event.request.headers.get('content-length') ?? 0)
    ),
  readImport: ({ params }) => readImport(params.id),
  stopImport: ({ params }) => stopImport(params.id),
  startImport: ({ params, body }) => startImport(params.id, body),
  readImportValues: ({ params, body }) => readImportValues(params.id, body.mapping)
} satisfies Partial<Handlers>;
