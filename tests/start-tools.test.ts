import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';

// What npm start and npm test are made of. Plain JavaScript without types of its own.
const tool = async <T>(name: string): Promise<T> => (await import(resolve(`scripts/lib/${name}.mjs`))) as T;
const folder = mkdtempSync(join(tmpdir(), 'eave-tools-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string, text = '') => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};
const ended = (child: ReturnType<typeof spawn>) => new Promise<number | null>((done) => child.on('exit', done));

describe('a stamp', () => {
  it('is good for the same contents only, of files and whole folders', async () => {
    const { hashOf, isStamped, stamp } = await tool<{
      hashOf: (paths: string[]) => string;
      isStamped: (file: string, hash: string) => boolean;
      stamp: (file: string, hash: string) => void;
    }>('stamp');
    mkdirSync(join(folder, 'src'));
    const one = join(folder, 'src', 'a.ts');
    writeFileSync(one, 'a');
    const lock = file('lock.json', '{}');
    const before = hashOf([join(folder, 'src'), lock]);
    expect(hashOf([join(folder, 'src'), lock])).toBe(before);
    const stamped = join(folder, 'deep', 'stamp');
    expect(isStamped(stamped, before)).toBe(false);
    stamp(stamped, before);
    expect(isStamped(stamped, before)).toBe(true);

    writeFileSync(one, 'b');
    const after = hashOf([join(folder, 'src'), lock]);
    expect(after).not.toBe(before);
    expect(isStamped(stamped, after)).toBe(false);
    writeFileSync(one, 'a');
    expect(hashOf([join(folder, 'src'), lock])).toBe(before);
    writeFileSync(join(folder, 'src', 'new.ts'), '');
    expect(hashOf([join(folder, 'src'), lock])).not.toBe(before);
    // What is not there changes nothing, and breaks nothing.
    expect(hashOf([lock, join(folder, 'missing')])).toBe(hashOf([lock]));
  });
});

describe('a process', () => {
  it('is known by its number and when it began, so that no later one is taken for it', async () => {
    const { isAlive, isRunning, nameOf, beganAbout } = await tool<{
      isAlive: (pid: number) => boolean;
      isRunning: (name: string) => boolean;
      nameOf: (pid: number) => string;
      beganAbout: (pid: number, seconds: number) => boolean | null;
    }>('process-identity');
    const name = nameOf(process.pid);
    expect(isAlive(process.pid)).toBe(true);
    expect(isRunning(name)).toBe(true);
    const [pid, began, boot] = name.split(' ') as [string, string, string];
    expect(isRunning(`${pid} ${Number(began) + 1} ${boot}`)).toBe(false);
    expect(isRunning(`${pid} ${began} another-boot`)).toBe(false);
    for (const wrong of ['', 'nonsense', String(process.pid), '-1 2 3', '4294967290 1 x'])
      expect(isRunning(wrong)).toBe(false);
    expect(beganAbout(process.pid, Date.now() / 1000 - process.uptime())).toBe(true);
    expect(beganAbout(process.pid, Date.now() / 1000 - 86_400 * 365)).toBe(false);

    const child = spawn(process.execPath, ['-e', 'setTimeout(() => {}, 60000)'], { stdio: 'ignore' });
    const named = nameOf(child.pid!);
    expect(isRunning(named)).toBe(true);
    child.kill('SIGKILL');
    await ended(child);
    expect(isRunning(named)).toBe(false);
    expect(beganAbout(child.pid!, Date.now() / 1000)).toBeNull();
  });
});

describe('a lock file', () => {
  it('lets one after the other in, whatever happens inside', async () => {
    const { withLock } = await tool<{ withLock: <T>(file: string, work: () => Promise<T>) => Promise<T> }>('lock');
    const path = join(folder, 'one.lock');
    const log = file('log');
    const script = `
      import { appendFileSync } from 'node:fs';
      import { withLock } from ${JSON.stringify(resolve('scripts/lib/lock.mjs'))};
      await withLock(${JSON.stringify(path)}, async () => {
        appendFileSync(${JSON.stringify(log)}, 'in ');
        await new Promise((done) => setTimeout(done, 150));
        appendFileSync(${JSON.stringify(log)}, 'out ');
      });`;
    const children = Array.from({ length: 4 }, () =>
      spawn(process.execPath, ['--input-type=module', '-e', script], { stdio: 'ignore' })
    );
    expect(await Promise.all(children.map(ended))).toEqual([0, 0, 0, 0]);
    expect(readFileSync(log, 'utf8')).toBe('in out '.repeat(4));
    expect(existsSync(path)).toBe(false);

    await expect(withLock(path, () => Promise.reject(new Error('broke')))).rejects.toThrow('broke');
    expect(existsSync(path)).toBe(false);
    expect(
      await withLock(path, async () => {
        expect(statSync(path).mode & 0o777).toBe(0o600);
        return 7;
      })
    ).toBe(7);
  });

  it('of somebody who died is passed over, and half a name is none', async () => {
    const { withLock } = await tool<{ withLock: <T>(file: string, work: () => Promise<T>) => Promise<T> }>('lock');
    for (const left of ['', '123', `${process.pid} 1 x`, '999999 55 boot']) {
      const path = file('left.lock', left);
      expect(await withLock(path, async () => 'in')).toBe('in');
      expect(existsSync(path)).toBe(false);
    }
  });
});

describe('a command', () => {
  it('gives its code and what it printed, and 127 where there is none', async () => {
    const { run, has } = await tool<{
      run: (command: string, args: string[], options?: object) => Promise<{ code: number; output: string }>;
      has: (command: string) => boolean;
    }>('run');
    expect(await run('sh', ['-c', 'echo out; echo err >&2; exit 3'], { quiet: true })).toMatchObject({ code: 3 });
    const { output } = await run('sh', ['-c', 'echo out; echo err >&2'], { quiet: true });
    expect(output.split('\n').sort().join(' ').trim()).toBe('err out');
    expect((await run('no-such-command-here', [], { quiet: true })).code).toBe(127);
    expect(await run('sh', ['-c', 'kill -9 $$'], { quiet: true })).toMatchObject({ code: 1 });
    expect(has('sh')).toBe(true);
    expect(has('no-such-command-here')).toBe(false);
  });

  it('ends with the process that began it', async () => {
    const script = `
      import { run } from ${JSON.stringify(resolve('scripts/lib/run.mjs'))};
      void run('sh', ['-c', 'echo $$ > ${join(folder, 'child')}; exec sleep 60'], { quiet: true });
      setTimeout(() => process.exit(0), 400);`;
    await ended(spawn(process.execPath, ['--input-type=module', '-e', script], { stdio: 'ignore' }));
    const pid = Number(readFileSync(join(folder, 'child'), 'utf8'));
    expect(pid).toBeGreaterThan(1);
    await expect
      .poll(() => {
        try {
          process.kill(pid, 0);
          // One that has ended and that nobody has asked for yet counts as ended.
          return readFileSync(`/proc/${pid}/stat`, 'utf8').includes(') Z ') ? 'ended' : 'runs';
        } catch {
          return 'ended';
        }
      })
      .toBe('ended');
  });
});
