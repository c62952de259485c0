import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { freePort } from '../browser/application';
import { ask, freshDatabase, pause, until } from './harness';

describe('npm start', () => {
  it('starts a server that was killed again, ends with it in order, and says so', async () => {
    const port = await freePort();
    const started = spawn('node', ['scripts/start.mjs'], {
      env: {
        ...process.env,
        PORT: String(port),
        DATABASE_URL: await freshDatabase('eave_start'),
        EAVE_DATA: '.data/test-start',
        EAVE_WORLD_PEOPLE: '1000'
      }
    });
    let received = '';
    started.stdout.on('data', (data) => (received += String(data)));
    const ended = new Promise<number | null>((done) => started.once('exit', done));
    const address = `http://127.0.0.1:${port}`;
    const answers = async () => (await ask(address, 'GET', '/health/ready')).status === 200;
    await until(answers, 90_000, 'it answers');
    const server = () =>
      readdirSync('/proc')
        .filter((pid) => /^\d+$/.test(pid))
        .find((pid) => {
          try {
            return (
              readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('build/index.js') &&
              readFileSync(`/proc/${pid}/environ`, 'utf8').includes(`PORT=${port}\0`)
            );
          } catch {
            return false;
          }
        });
    const first = Number(server());
    process.kill(first, 'SIGKILL');
    await until(
      async () => server() !== undefined && Number(server()) !== first && (await answers()),
      60_000,
      'it answers again'
    );
    expect(received).toContain('was ended by SIGKILL; starting it again');
    started.kill('SIGTERM');
    expect(await ended).toBe(0);
    expect(server()).toBeUndefined();
  });
});

describe('a lock file', () => {
  it('whose number another process has by now is passed over', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'eave-lock-'));
    const file = join(folder, 'lock');
    const module_ = resolve('scripts/lib/lock.mjs');
    const take = () =>
      new Promise<number | null>((done) => {
        const script = `import { withLock } from ${JSON.stringify(module_)}; await withLock(${JSON.stringify(file)}, async () => {}); process.exit(0);`;
        const child = spawn('node', ['--input-type=module', '-e', script]);
        const late = setTimeout(() => child.kill(), 5000);
        child.once('exit', (code) => {
          clearTimeout(late);
          done(code);
        });
      });
    // This very process runs, and has not begun when the file says.
    for (const stale of [`${process.pid} 1 another-boot`, String(process.pid), '', 'nonsense']) {
      writeFileSync(file, stale);
      expect(await take(), stale).toBe(0);
    }
    const holding = spawn('node', [
      '--input-type=module',
      '-e',
      `import { withLock } from ${JSON.stringify(module_)}; await withLock(${JSON.stringify(file)}, () => new Promise((done) => setTimeout(done, 60000)));`
    ]);
    await pause(1500);
    expect(await take()).not.toBe(0);
    holding.kill('SIGKILL');
    await pause(200);
    expect(await take()).toBe(0);
    rmSync(folder, { recursive: true });
  });
});

describe('the packages', () => {
  it('are installed without running a script of theirs', async () => {
    const telemetry = () =>
      readdirSync('/proc').filter((pid) => {
        try {
          return /^\d+$/.test(pid) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('ibmtelemetry');
        } catch {
          return false;
        }
      });
    const before = telemetry();
    const folder = mkdtempSync(join(tmpdir(), 'eave-scripts-'));
    const mark = join(folder, 'ran');
    writeFileSync(join(folder, '.npmrc'), readFileSync('.npmrc'));
    const packed = join(folder, 'nosy');
    mkdirSync(packed);
    writeFileSync(
      join(packed, 'package.json'),
      JSON.stringify({
        name: 'nosy',
        version: '1.0.0',
        scripts: { postinstall: `node -e "require('fs').writeFileSync('${mark}', '')"` }
      })
    );
    writeFileSync(
      join(folder, 'package.json'),
      JSON.stringify({ name: 'here', version: '1.0.0', dependencies: { nosy: 'file:nosy' } })
    );
    const code = await new Promise<number | null>((done) =>
      spawn('npm', ['install', '--offline', '--install-links'], { cwd: folder, stdio: 'ignore' }).once('exit', done)
    );
    expect(code).toBe(0);
    expect(readdirSync(join(folder, 'node_modules'))).toContain('nosy');
    expect(readdirSync(folder)).not.toContain('ran');
    rmSync(folder, { recursive: true });
    expect(telemetry().filter((pid) => !before.includes(pid))).toEqual([]);
  });
});
