import { spawn, spawnSync } from 'node:child_process';

/** Commands under way, each in a process group of its own, so that Ctrl-C is ours to handle. */
const running = new Set();
process.on('exit', () => {
  for (const { pid } of running)
    try {
      process.kill(-pid, 'SIGTERM');
    } catch {
      // It has ended meanwhile.
    }
});

/** Runs a command to its end; resolves with its exit code and what it printed. It ends with this process at the latest. */
export function run(command, args, { quiet = false, ...options } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      stdio: ['ignore', quiet ? 'pipe' : 'inherit', quiet ? 'pipe' : 'inherit'],
      detached: true,
      ...options
    });
    running.add(child);
    let output = '';
    child.stdout?.on('data', (data) => (output += data));
    child.stderr?.on('data', (data) => (output += data));
    const end = (code) => {
      running.delete(child);
      resolve({ code, output });
    };
    child.on('error', (error) => {
      output += error.message;
      end(127);
    });
    child.on('close', (code) => end(code ?? 1));
  });
}

/** Whether a command can be found. */
export const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0;
