import { randomUUID } from 'node:crypto';
import type { Handle, ServerInit } from '@sveltejs/kit';
import { problem } from '$server/http/endpoint';
import { database } from '$server/platform/database/connection';
import { migrate, startFault } from '$server/platform/database/migrate';
import { environment } from '$server/platform/environment';
import { endStreams } from '$server/http/event-stream';
import { isOwnOrigin, refusedHost } from '$server/platform/hosts';
import { startJobs } from '$server/app/jobs';
import { stopQueue } from '$server/platform/jobs/queue';
import { log } from '$server/platform/log';
import { Refusal, unknownHost } from '$server/platform/refusal';
import { beginDemoJob, loadDemo } from '$server/demo/demo';
import { openLexicon } from '$server/features/library/lexicon';
import { openSources, startStandIns } from '$server/features/sources/sources';
import { closeThreads } from '$server/workers/people';

export const init: ServerInit = async () => {
  void startStandIns();
  try {
    await migrate(database());
    await loadDemo();
    await openLexicon();
    await openSources();
    await startJobs();
    await beginDemoJob();
  } catch (error) {
    log().fatal({ err: error }, 'not started');
    console.error(startFault(error));
    process.exit(1);
  }
  (process as NodeJS.EventEmitter).once('eave:stopping', endStreams);
  // Idle connections would keep the process for some seconds after the last page was served.
  (process as NodeJS.EventEmitter).once('sveltekit:shutdown', () => {
    void stopQueue()
      .then(() => Promise.all([database().close(), closeThreads()]))
      .catch((error: unknown) => log().warn({ err: error }, 'not stopped in order'))
      .finally(() => process.exit(0));
  });
};

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
    route: event.route.id,
    brief: event.params.id
  };
  if (event.route.id !== null) log().info({ ...line, status: response.status, ms }, 'request');
  return response;

  async function answer(): Promise<Response> {
    // What a page asks of the API while it is made comes from here.
    if (event.isSubRequest) return resolve(event);
    const host = request.headers.get('host') ?? '';
    // Checked again for a server that Vite runs while the code is being written.
    const why = refusedHost([host], url.pathname, environment());
    if (why !== null) return problem(unknownHost(why));
    const changes = request.method !== 'GET' && request.method !== 'HEAD';
    if (changes && !isOwnOrigin(request.headers.get('origin'), host, environment()))
      return problem(new Refusal(403, 'Another site', 'Changes are taken from Eave’s own pages only.'));
    const resolved = await resolve(event);
    if (resolved.status === 405 && url.pathname.startsWith('/api/')) {
      const refused = problem(
        new Refusal(
          405,
          'Not offered',
          `${url.pathname} does not take ${request.method}; /api/openapi.json lists what it takes.`
        )
      );
      // RFC 9110, 15.5.6: it says what is allowed.
      const allow = resolved.headers.get('allow');
      if (allow !== null) refused.headers.set('allow', allow);
      return refused;
    }
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
