import { readFileSync } from 'node:fs';

// A process number is given to another process sooner or later: when it began tells the two apart (proc(5)).

export const isAlive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
};

const read = (file) => {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    return null;
  }
};

/** When a process began, in clock ticks since the machine did; null where there is no such process, or no /proc. */
function beganAt(pid) {
  const stat = read(`/proc/${pid}/stat`);
  // The name, in brackets, may hold spaces and brackets itself: fields are counted from its end.
  return stat === null ? null : Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19]);
}

/** Names a process so that no later one has the same name. */
export const nameOf = (pid) => {
  const boot = read('/proc/sys/kernel/random/boot_id')?.trim() ?? '';
  return `${pid} ${beganAt(pid) ?? ''} ${boot}`;
};

/** Whether the process that was named so still runs. A name of a number alone, as earlier releases wrote it, is of no process. */
export function isRunning(name) {
  const [pid, began] = name.trim().split(' ');
  if (!/^\d+$/.test(pid) || !isAlive(Number(pid))) return false;
  if (read('/proc/self/stat') === null) return true;
  return began !== undefined && name.trim() === nameOf(Number(pid)).trim();
}

/** Whether a process began at about a moment, in seconds since 1970; null where that cannot be told. */
export function beganAbout(pid, seconds) {
  const ticks = beganAt(pid);
  const boot = /^btime (\d+)$/m.exec(read('/proc/stat') ?? '')?.[1];
  // A clock tick is a hundredth of a second on every Linux that Debian runs on.
  return ticks === null || !boot ? null : Math.abs(Number(boot) + ticks / 100 - seconds) < 10;
}
