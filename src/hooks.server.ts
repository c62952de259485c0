import { randomUUID } from 'node:crypto';
import type { Handle, ServerInit } from '@sveltejs/kit';
import { start } from '$server/app/start';
import { problem } from '$server/http/problem';
import { environment } from '$server/platform/environment';
import { isOwnOrigin, refusedHost } from '$server/platform/hosts';
import { log } from '$server/platform/log';
import { refuse } from '$server/platform/refusals';

export const init: ServerInit = start;

export const handle: Handle = async ({ event, resolve }) => {
  const began = performance.now();
  const { request, url } = event;
  event.locals.requestId = randomUUID();
  const response = await answer();
  const ms = Math.round(performance.now() - began);
  // The route and not the address: names, and what is looked for, may stand in that.
  const line = {
    request: event.locals.requestId,
    method: request.method,
    route: event.locals.route ?? event.route.id,
    brief: event.locals.brief ?? event.params.id
  };
  if (event.route.id !== null) log().info({ ...line, status: response.status, ms }, 'request');
  return response;

  async function answer(): Promise<Response> {
    // What a page asks of the API while it is made comes from here.
    if (event.isSubRequest) return resolve(event);
    const host = request.headers.get('host') ?? '';
    // Checked again for a server that Vite runs while the code is being written.
    const why = refusedHost([host], url.pathname, environment());
    if (why !== null) return problem(refuse('unknown-host', why));
    const changes = request.method !== 'GET' && request.method !== 'HEAD';
    if (changes && !isOwnOrigin(request.headers.get('origin'), host, environment()))
      return problem(refuse('another-site'));
    const resolved = await resolve(event);
    allowEditorStyles(resolved.headers);
    resolved.headers.set('x-content-type-options', 'nosniff');
    resolved.headers.set('referrer-policy', 'same-origin');
    return resolved;
  }
};

/** The editor adds style elements of its own under the page's nonce; SvelteKit names the nonce for scripts only. */
function allowEditorStyles(headers: Headers): void {
  const policy = headers.get('content-security-policy');
  const nonce = policy && /'nonce-[^']+'/.exec(policy)?.[0];
  if (nonce && !/style-src [^;]*'nonce-/.test(policy))
    headers.set('content-security-policy', policy.replace("style-src 'self'", `style-src 'self' ${nonce}`));
}
