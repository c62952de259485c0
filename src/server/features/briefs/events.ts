import { onChange, type Change } from '$server/platform/changes';
import type { Sent } from '$server/http/event-stream';
import { log } from '$server/platform/log';
import { markOf } from './mark';

type Send = (sent: Sent) => void;

/** Milliseconds over which changes are batched. */
const together = 150;

/** Calls back with all that has changed, soon after the first of it; the next ones wait until it has been told. */
function gathered(isMine: (change: Change) => boolean, tell: (changes: Change[]) => Promise<void>): () => void {
  let waiting: Change[] = [];
  let timer: NodeJS.Timeout | undefined;
  let over = false;
  const flush = () => {
    const now = waiting;
    waiting = [];
    void tell(now)
      .catch((error: unknown) => log().warn({ err: error }, 'change event not sent'))
      .finally(() => {
        timer = undefined;
        if (waiting.length && !over) timer = setTimeout(flush, together);
      });
  };
  const off = onChange((change) => {
    if (change.of !== 'anything' && !isMine(change)) return;
    waiting.push(change);
    timer ??= setTimeout(flush, together);
  });
  return () => {
    over = true;
    clearTimeout(timer);
    off();
  };
}

/** Tables whose changes are no change of the brief's mark. */
const goesOn: ReadonlySet<string> = new Set(['trial_pages', 'harvests', 'shortlists', 'mail_runs']);

/**
 * Tells a page whenever something of a brief has changed, with the brief's mark as the event's id: a page that comes back
 * with another mark than the present one has missed something and is notified at once.
 */
export function watchBrief(briefId: string, seen: string | null, send: Send): () => void {
  let known = seen;
  const tell = async (what: string[]) => {
    const mark = await markOf(briefId);
    const sent = { id: mark, data: { mark, what } };
    if (known === null) send({ event: 'mark', ...sent });
    else if (known !== mark) send({ event: 'changed', ...sent });
    else if (what.some((table) => goesOn.has(table))) send({ event: 'progress', ...sent });
    known = mark;
  };
  const off = gathered(
    (change) => (change.of === 'brief' && change.id === briefId) || change.of === 'people',
    (changes) => tell([...new Set(changes.flatMap((change) => (change.of === 'brief' ? [change.what] : [])))])
  );
  void tell([]).catch((error: unknown) => log().warn({ err: error }, 'change event not sent'));
  return off;
}

/** The event for each kind of change of the whole installation; changes of watches come with their briefs. */
const ofAll: Record<'sources' | 'imports' | 'watches', (change: Change) => boolean> = {
  sources: ({ of }) => of === 'sources',
  imports: ({ of }) => of === 'import',
  watches: (change) => change.of === 'brief' && change.what.startsWith('watch')
};

/** Notifies a page when sources, imports or watches change; of all of them where some changes may have been missed. */
export function watchAll(seen: string | null, send: Send): () => void {
  const tell = (isTouched: (isMine: (change: Change) => boolean) => boolean) =>
    send({
      event: 'changed',
      id: 'all',
      data: Object.fromEntries(
        Object.entries(ofAll).flatMap(([kind, isMine]) => (isTouched(isMine) ? [[kind, true]] : []))
      )
    });
  // One that comes back may have missed something.
  if (seen !== null) tell(() => true);
  else send({ event: 'mark', id: 'all', data: {} });
  return gathered(
    (change) => Object.values(ofAll).some((isMine) => isMine(change)),
    async (changes) => tell((isMine) => changes.some((change) => change.of === 'anything' || isMine(change)))
  );
}
