import type { z } from 'zod';
import type { Operation } from '$server/api/contract';

/** A refusal as the API tells it (RFC 9457); `detail` is a sentence for people. */
export class ApiProblem extends Error {
  readonly status: number;
  readonly title: string;
  readonly body: Record<string, unknown>;

  constructor(status: number, title: string, detail: string, body: Record<string, unknown> = {}) {
    super(detail);
    this.status = status;
    this.title = title;
    this.body = body;
  }
}

const unreachable = () =>
  new ApiProblem(
    0,
    'Eave does not answer',
    'The Eave server cannot be reached. Start it again with npm start; what you typed stays on this page.'
  );

interface Input<P, Q, B> {
  params?: P;
  query?: Q;
  body?: B;
  file?: Blob;
  signal?: AbortSignal;
  fetch?: typeof fetch;
}

/** Calls an operation of the API. Throws ApiProblem with a sentence when it is refused or nobody answers. */
export async function call<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  operation: Operation<P, Q, B, R>,
  input: Input<Record<string, string | number>, Record<string, string | number>, z.input<B>> = {}
): Promise<z.output<R>> {
  const path = operation.path.replaceAll(/\{(\w+)\}/g, (_, name: string) =>
    encodeURIComponent(String(input.params?.[name]))
  );
  const query = input.query
    ? `?${new URLSearchParams(Object.entries(input.query).map(([k, v]) => [k, String(v)]))}`
    : '';
  const send = input.fetch ?? fetch;
  const response = await send(path + query, {
    method: operation.method,
    ...(input.signal && { signal: input.signal }),
    ...(input.body !== undefined && {
      body: JSON.stringify(input.body),
      headers: { 'content-type': 'application/json' }
    }),
    ...(input.file && { body: input.file, headers: { 'content-type': 'application/octet-stream' } })
  }).catch((error: Error) => {
    throw error.name === 'AbortError' ? error : unreachable();
  });
  if (response.status === 204) return undefined as z.output<R>;
  const body: unknown = await response.json().catch(() => {
    throw unreachable();
  });
  if (!response.ok) {
    const told = body as { title?: string; detail?: string };
    throw new ApiProblem(
      response.status,
      told.title ?? 'Refused',
      told.detail ?? 'The server refused this.',
      body as Record<string, unknown>
    );
  }
  return body as z.output<R>;
}
