import pLimit from 'p-limit';
import { NotNow } from '$server/platform/jobs/not-now';
import { refuse } from '$server/platform/refusals';
import { currentAsker } from '$server/workers/asker';
import { KeptThreads } from '$server/workers/threads';

/** What is done with whole briefs, and with lists of all verdicts or results, in its own thread. */
export type BriefTask =
  | { kind: 'export-brief' | 'export-qrels'; briefId: string }
  | { kind: 'export-runs'; briefId: string; certain: boolean }
  | { kind: 'import-brief'; body: Uint8Array }
  | { kind: 'import-qrels'; briefId: string; body: Uint8Array };

/** Threads at once; others wait for their turn. */
const inLine = pLimit(2);

const threads = new KeptThreads<BriefTask, Uint8Array<ArrayBuffer>>('brief-worker.js', 60_000);

/** Milliseconds that one may take. */
const maxTime = 180_000;

/** Does it in a thread and gives the answer as JSON, in UTF-8. */
export const briefWork = (task: BriefTask): Promise<Uint8Array<ArrayBuffer>> =>
  inLine(async () => {
    const asker = currentAsker();
    const signal = AbortSignal.any([...(asker ? [asker.signal] : []), AbortSignal.timeout(maxTime)]);
    const transferList = 'body' in task ? [task.body.buffer as ArrayBuffer] : [];
    try {
      return await threads.run(task, { signal, transferList });
    } catch (error) {
      if (!(error instanceof NotNow)) throw error;
      throw refuse('brief-work-stopped');
    }
  });
