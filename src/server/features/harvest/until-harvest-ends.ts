import { on } from 'node:events';
import type { HarvestRow } from '$server/platform/database/harvest-models';
import { onChange } from '$server/platform/changes';

/** Resolves once a harvest neither waits nor runs, at whichever server it does; rejects when `halt` aborts. */
export async function untilHarvestEnds(harvest: HarvestRow, halt: AbortSignal): Promise<void> {
  const changes = new EventTarget();
  // Listened to before the first look, so that no change falls between the two.
  const off = onChange((change) => {
    if (change.of === 'anything' || (change.of === 'brief' && change.id === harvest.briefId))
      changes.dispatchEvent(new Event('change'));
  });
  const isOver = async () => !['waiting', 'running'].includes((await harvest.reload()).state);
  try {
    const seen = on(changes, 'change', { signal: halt });
    while (!(await isOver())) await seen.next();
  } finally {
    off();
  }
}
