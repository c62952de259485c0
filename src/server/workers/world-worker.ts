import { parentPort, workerData } from 'node:worker_threads';
import { moveShared, type SharedStandIn } from './shared-source';
import type { ThreadMessage } from './threads';

// Moves the world of the stand-ins on to a later day.
const { sources, day } = workerData as { sources: SharedStandIn[]; day: number };
const tell = (message: ThreadMessage<SharedStandIn[], { done: number; of: number }>) =>
  parentPort!.postMessage(message);

const moved: SharedStandIn[] = [];
for (const source of sources) {
  moved.push(moveShared(source, day));
  tell({ progress: { done: moved.length, of: sources.length } });
}
tell({ answer: moved });
