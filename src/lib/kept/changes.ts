import { paths, type OperationName } from '$api/paths';

/** Milliseconds before a stream that the server refused is asked for again; then twice as long each time. */
const firstPause = 1000;
const longestPause = 15_000;

type Listener = (event: string, data: unknown) => void;

/**
 * Listens to server-sent events while the page is seen: a browser holds few connections to one server, which the tabs
 * that are seen share. A page that comes back sends the last event it received, so that nothing is missed. Returns what stops it.
 */
function listen(address: string, events: readonly string[], listener: Listener): () => void {
  let stream: EventSource | undefined;
  let seen: string | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  let pause = firstPause;

  const close = () => {
    clearTimeout(again);
    stream?.close();
    stream = undefined;
  };
  const open = () => {
    close();
    const mine = (stream = new EventSource(
      seen === undefined ? address : `${address}?seen=${encodeURIComponent(seen)}`
    ));
    for (const name of ['mark', ...events])
      mine.addEventListener(name, (event) => {
        seen = event.lastEventId;
        pause = firstPause;
        listener(name, JSON.parse(event.data as string));
      });
    mine.addEventListener('error', () => {
      // While the line is cut the browser itself tries again; after a refusal it does not.
      if (mine !== stream || mine.readyState !== EventSource.CLOSED) return;
      again = setTimeout(open, pause);
      pause = Math.min(longestPause, pause * 2);
    });
  };
  const look = () => {
    if (document.hidden) close();
    else if (!stream) open();
  };
  look();
  document.addEventListener('visibilitychange', look);
  return () => {
    document.removeEventListener('visibilitychange', look);
    close();
  };
}

/** Streams that are listened to, so that the parts of a page share one. */
const shared = new Map<string, { listeners: Set<Listener>; stop: () => void }>();

function listenWithOthers(address: string, listener: Listener): () => void {
  let one = shared.get(address);
  if (!one) {
    const listeners = new Set<Listener>();
    const stop = listen(address, ['changed', 'progress'], (event, data) =>
      listeners.forEach((one) => one(event, data))
    );
    shared.set(address, (one = { listeners, stop }));
  }
  const mine = one;
  mine.listeners.add(listener);
  return () => {
    mine.listeners.delete(listener);
    if (mine.listeners.size) return;
    mine.stop();
    shared.delete(address);
  };
}

const addressOf = (name: OperationName, id = '') => paths[name][1].replace('{id}', id);

interface BriefListeners {
  changed: () => void;
  /** Called while a trial goes on. */
  progressed?: () => void;
  /** A harvest has come further. */
  gathered?: () => void;
  /** People of a shortlist, or a check of their addresses, have come further. */
  kept?: () => void;
  /** Called once the stream is open: changes between loading the page and now were missed. */
  began?: () => void;
}

/** Calls back when something of a brief has changed, on this page or any other. */
export const watchBrief = (
  briefId: string,
  { changed, progressed, gathered, kept, began }: BriefListeners
): (() => void) =>
  listenWithOthers(addressOf('briefEvents', briefId), (event, data) => {
    if (event === 'changed') changed();
    else if (event !== 'progress') began?.();
    const { what = [] } = data as { what?: string[] };
    if (event === 'progress' && what.includes('trial_pages')) progressed?.();
    if (event !== 'mark' && what.includes('harvests')) gathered?.();
    if (event !== 'mark' && (what.includes('shortlists') || what.includes('mail_runs'))) kept?.();
  });

/** What of the whole installation has changed. */
export type Changed = Partial<Record<'sources' | 'imports' | 'watches', boolean>>;

/**
 * Calls back when sources, imports or watches have changed; `began` once the stream is open: changes between loading the page
 * and now were missed.
 */
export const watchAll = (changed: (what: Changed) => void, began?: () => void): (() => void) =>
  listenWithOthers(addressOf('events'), (event, what) => (event === 'mark' ? began?.() : changed(what as Changed)));
