import { linkSync, readFileSync, unlinkSync, writeFileSync } from 'node:fs';
import { isRunning, nameOf } from './process-identity.mjs';

/** Does `work` while no other process of Eave holds the lock file; a lock whose holder has died is passed over. */
export async function withLock(file, work) {
  const mine = `${file}.${process.pid}`;
  writeFileSync(mine, nameOf(process.pid), { mode: 0o600 });
  try {
    // Linked and not written, so that nobody reads half a name.
    for (;;) {
      try {
        linkSync(mine, file);
        break;
      } catch (error) {
        if (error.code !== 'EEXIST') throw error;
      }
      try {
        if (!isRunning(readFileSync(file, 'utf8'))) unlinkSync(file);
      } catch (error) {
        if (error.code !== 'ENOENT') throw error;
      }
      await new Promise((done) => setTimeout(done, 100));
    }
  } finally {
    unlinkSync(mine);
  }
  try {
    return await work();
  } finally {
    unlinkSync(file);
  }
}
