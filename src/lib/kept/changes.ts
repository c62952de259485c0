import { call } from '$lib/api/call';
import { contract } from '$server/api/contract';

const pause = 1500;

/** Calls back when something of a brief has changed, on this page or any other: a page that is seen asks again and again. Returns what stops it. */
export function watchChanges(briefId: string, changed: () => void): () => void {
  let known: string | undefined;
  let asking = false;
  const ask = async () => {
    if (asking || document.hidden) return;
    asking = true;
    try {
      const { mark } = await call(contract.mark, { params: { id: briefId } });
      if (known !== undefined && mark !== known) changed();
      known = mark;
    } catch {
      // The server is away: what the page shows stays until it is back.
    } finally {
      asking = false;
    }
  };
  void ask();
  const timer = setInterval(() => void ask(), pause);
  const seen = () => void ask();
  document.addEventListener('visibilitychange', seen);
  return () => {
    clearInterval(timer);
    document.removeEventListener('visibilitychange', seen);
  };
}
