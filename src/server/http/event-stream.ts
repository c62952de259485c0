// Server-sent events: WHATWG HTML, "Server-sent events", 9.2.

const utf8 = new TextEncoder();
/** Milliseconds between two comments that keep the connection open; proxies close one on which nothing comes for a minute. */
const heartbeat = 20_000;
/** Milliseconds after which a page asks again for a stream that ended. */
const retry = 1000;

const open = new Set<() => void>();
let stopping = false;

/** Ends all streams: pages ask again when the server is back. */
export function endStreams(): void {
  stopping = true;
  open.forEach((end) => end());
}

/** What a stream sends. A page that reconnects sends the last `id` back. */
export interface Sent {
  event: string;
  id?: string;
  data: unknown;
}

/** An answer that goes on until the page goes away. `begin` is given what sends, and gives what to call at the end. */
export function eventStream(signal: AbortSignal, begin: (send: (sent: Sent) => void) => () => void): Response {
  let end = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const write = (text: string) => controller.enqueue(utf8.encode(text));
      const beat = setInterval(() => write(':\n\n'), heartbeat);
      const over = begin(({ event, id, data }) =>
        write(`event: ${event}\n${id === undefined ? '' : `id: ${id}\n`}data: ${JSON.stringify(data)}\n\n`)
      );
      let ended = false;
      end = () => {
        if (ended) return;
        ended = true;
        clearInterval(beat);
        open.delete(end);
        signal.removeEventListener('abort', end);
        over();
        try {
          controller.close();
        } catch {
          // The page closed it first.
        }
      };
      write(`retry: ${retry}\n\n`);
      open.add(end);
      signal.addEventListener('abort', end);
      if (stopping || signal.aborted) end();
    },
    cancel: () => end()
  });
  return new Response(body, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' }
  });
}
