import { json, type Handle, type ServerInit } from '@sveltejs/kit';
import { database } from '$server/database/connection';
import { migrate, NewerSchema } from '$server/database/migrate';
import { startQueue, stopQueue } from '$server/jobs/queue';
import { loadDemo } from '$server/services/demo';
import { endBrokenImports } from '$server/services/imports/imports';
import { openSources, startStandIns } from '$server/services/sources';
import { resumeTrials } from '$server/services/trial-run';

export const init: ServerInit = async () => {
  void startStandIns();
  try {
    await migrate(database());
  } catch (error) {
    const reason = (error as Error).message || (error as { parent?: Error }).parent?.message || String(error);
    console.error(
      error instanceof NewerSchema
        ? error.message
        : `Eave cannot use its database: ${reason}. Check that PostgreSQL runs and that DATABASE_URL names a database it lets you use.`
    );
    process.exit(1);
  }
  await endBrokenImports();
  await loadDemo();
  await openSources();
  await startQueue();
  await resumeTrials();
  // Idle connections would keep the process for some seconds after the last page was served.
  (process as NodeJS.EventEmitter).once('sveltekit:shutdown', () => {
    void stopQueue()
      .then(() => database().close())
      .finally(() => process.exit(0));
  });
};

export const handle: Handle = async ({ event, resolve }) => {
  const refuse = (status: number, title: string, detail: string) =>
    json(
      { type: 'about:blank', title, status, detail },
      { status, headers: { 'content-type': 'application/problem+json' } }
    );
  // Loopback by name or number only, so that a page elsewhere cannot reach in through a name of its own.
  const host = event.url.hostname;
  const allowed = (process.env.EAVE_HOSTS ?? 'localhost,127.0.0.1,[::1]').split(',');
  if (!allowed.includes(host))
    return refuse(421, 'Unknown host', `Eave does not answer as ${host}. Add it to EAVE_HOSTS.`);
  const origin = event.request.headers.get('origin');
  if (origin !== null && origin !== event.url.origin && event.request.method !== 'GET')
    return refuse(403, 'Another site', 'Changes are taken from Eave’s own pages only.');
  const response = await resolve(event);
  if (response.status === 405 && event.url.pathname.startsWith('/api/'))
    return refuse(
      405,
      'Not offered',
      `${event.url.pathname} does not take ${event.request.method}; /api/openapi.json lists what it takes.`
    );
  allowEditorStyles(response.headers);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  return response;
};

/** The editor adds style elements of its own under the page's nonce; SvelteKit names the nonce for scripts only. */
function allowEditorStyles(headers: Headers): void {
  const policy = headers.get('content-security-policy');
  const nonce = policy && /'nonce-[^']+'/.exec(policy)?.[0];
  if (nonce && !/style-src [^;]*'nonce-/.test(policy))
    headers.set('content-security-policy', policy.replace("style-src 'self'", `style-src 'self' ${nonce}`));
}
