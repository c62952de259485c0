import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { environment } from '$server/platform/environment';
import { refusedHost } from '$server/platform/hosts';
import { log, openLog } from '$server/platform/log';
import { makePrivate } from '$server/platform/private-folder';
import { refuse } from '$server/platform/refusals';

type Handler = (request: IncomingMessage, response: ServerResponse, next: (error?: unknown) => void) => void;

/** Tells the application which protocol was used. A header of our own, because a client could set the usual ones. */
const protocolHeader = 'x-eave-protocol';

/** Serves the built application. Everything is refused by its host before anything else looks at it. */
async function serve(): Promise<void> {
  // What Eave keeps is for its own user alone.
  process.umask(0o077);
  const settings = environment();
  await openLog();
  await makePrivate(settings.data);
  // SvelteKit would treat every request as one to ORIGIN. Eave checks the host and derives the origin from it.
  delete process.env.ORIGIN;
  process.env.PROTOCOL_HEADER = protocolHeader;
  process.env.BODY_SIZE_LIMIT = 'Infinity';
  process.on('unhandledRejection', (error) => log().error({ err: error }, 'unhandled rejection'));
  process.on('uncaughtException', (error) => {
    log().fatal({ err: error }, 'stopped by an error that nothing caught');
    console.error(`Eave stopped by an error: ${error.name}. Its log says where.`);
    process.exit(70);
  });

  const origin = settings.origin === undefined ? null : new URL(settings.origin);
  const built = new URL('./handler.js', import.meta.url).href;
  const { handler } = (await import(/* @vite-ignore */ built)) as { handler: Handler };
  const server = createServer((request, response) => {
    const hosts = request.rawHeaders.filter((_, i, all) => i % 2 === 1 && all[i - 1]!.toLowerCase() === 'host');
    const why = refusedHost(hosts, request.url ?? '', settings);
    if (why !== null) {
      log().warn({ status: 421 }, 'refused by its host');
      return answerUnknownHost(response, why);
    }
    request.headers[protocolHeader] = origin && origin.host === hosts[0] ? origin.protocol.slice(0, -1) : 'http';
    // SvelteKit gives no body to a request that does not say what is in it.
    request.headers['content-type'] ??= 'application/octet-stream';
    handler(request, response, (error) => {
      if (error) log().error({ err: error }, 'not answered');
      if (!response.headersSent) response.writeHead(error ? 500 : 404, { 'content-type': 'text/plain' });
      response.end(error ? 'Internal error' : 'Not found');
    });
  });
  // A slow sender does not hold a connection for ever; an upload of half a gigabyte may take its time.
  server.headersTimeout = 20_000;
  server.requestTimeout = 1_800_000;
  server.on('error', (error: NodeJS.ErrnoException) => {
    console.error(
      error.code === 'EADDRINUSE'
        ? `Port ${settings.port} is taken, perhaps by another Eave. Stop that one, or set another PORT.`
        : `Eave cannot listen on ${settings.host}:${settings.port}: ${error.message}`
    );
    process.exit(1);
  });
  server.listen(settings.port, settings.host, () => {
    const { address, port } = server.address() as AddressInfo;
    log().info({ address, port }, 'listening');
  });

  let stopping = false;
  // A connection that is kept alive is closed when its last answer has gone.
  server.on('request', (_, response) =>
    response.once('close', () => {
      if (stopping) setImmediate(() => server.closeIdleConnections());
    })
  );
  const stop = (reason: string) => {
    if (stopping) return;
    stopping = true;
    log().info({ reason }, 'stopping');
    // Pages that listen would keep their connections for ever.
    process.emit('eave:stopping' as never);
    // What is in progress ends first; then the application closes its queue and its database.
    const late = setTimeout(() => server.closeAllConnections(), settings.stopWithin * 1000);
    server.close(() => {
      clearTimeout(late);
      process.emit('sveltekit:shutdown' as never, reason as never);
    });
    server.closeIdleConnections();
  };
  process.on('SIGTERM', () => stop('SIGTERM'));
  process.on('SIGINT', () => stop('SIGINT'));
}

function answerUnknownHost(response: ServerResponse, why: string): void {
  const refusal = refuse('unknown-host', why);
  response.writeHead(refusal.status, { 'content-type': 'application/problem+json', connection: 'close' });
  response.end(refusal.problem());
}

serve().catch((error: Error) => {
  console.error(error.message);
  process.exit(1);
});
