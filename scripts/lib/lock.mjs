import { readFileSync, unlinkSync, writeFileSync } from 'node:fs';

export const isAlive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
};

/** Does `work` while no other process of Eave holds the lock file; a lock whose holder has died is passed over. */
export async function withLock(file, work) {
  for (;;) {
    try {
      writeFileSync(file, String(process.pid), { flag: 'wx' });
      break;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    }
    try {
      if (!isAlive(Number(readFileSync(file, 'utf8')))) unlinkSync(file);
    } catch (error) {
      if (error.code !== 'ENOENT') throw error;
    }
    await new Promise((done) => setTimeout(done, 100));
  }
  try {
    return await work();
  } finally {
    unlinkSync(file);
  }
}
