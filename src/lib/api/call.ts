import type { Answer, Body } from '$api';
import { paths, type OperationName } from '$api/paths';
import { call as say } from './words';

/** A refusal from the API (RFC 9457); `detail` is a sentence for people. */
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

const unreachable = () => new ApiProblem(0, say.notResponding, say.couldntReachServer);

interface Input<B> {
  params?: Record<string, string | number>;
  query?: Record<string, string | number>;
  body?: B;
  file?: Blob;
  signal?: AbortSignal;
  fetch?: typeof fetch;
}

/**
 * Names this tab, so that the server lets those who ask much take turns with the others. Not before the page runs: what it was made
 * with on the server is taken up only where the same is asked, headers included, and would all be asked again.
 */
let tab: string | undefined;
export function nameTab(): void {
  tab ??= Math.random().toString(36).slice(2);
}

/** Calls an operation of the API. Throws ApiProblem with a sentence when it is refused or nobody answers. */
export async function call<K extends OperationName>(name: K, input: Input<Body<K>> = {}): Promise<Answer<K>> {
  const [method, pattern] = paths[name];
  const path = pattern.replaceAll(/\{(\w+)\}/g, (_, part: string) => encodeURIComponent(String(input.params?.[part])));
  const query = input.query
    ? `?${new URLSearchParams(Object.entries(input.query).map(([k, v]) => [k, String(v)]))}`
    : '';
  const send = input.fetch ?? fetch;
  const headers = {
    ...(tab !== undefined && { 'x-eave-page': tab }),
    ...(input.body !== undefined && { 'content-type': 'application/json' }),
    ...(input.file && { 'content-type': 'application/octet-stream' })
  };
  const response = await send(path + query, {
    method,
    ...(input.signal && { signal: input.signal }),
    ...(Object.keys(headers).length > 0 && { headers }),
    ...(input.body !== undefined && { body: JSON.stringify(input.body) }),
    ...(input.file && { body: input.file })
  }).catch((error: Error) => {
    throw error.name === 'AbortError' ? error : unreachable();
  });
  if (response.status === 204) return undefined as Answer<K>;
  const body: unknown = await response.json().catch(() => {
    throw unreachable();
  });
  if (!response.ok) {
    const reply = body as { title?: string; detail?: string };
    throw new ApiProblem(
      response.status,
      reply.title ?? say.refused,
      reply.detail ?? say.serverRefusedThis,
      body as Record<string, unknown>
    );
  }
  return body as Answer<K>;
}
