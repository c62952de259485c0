import { run } from './run.mjs';
import { say, stopWith } from './say.mjs';
import { hashOf, isStamped, stamp } from './stamp.mjs';

const stampFile = 'node_modules/.eave-installed';

/** Installs the npm packages of the lock file when they are not there or not those. */
export async function ensureDependencies() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    stopWith(`Eave needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
  const hash = hashOf(['package-lock.json']);
  if (isStamped(stampFile, hash)) return;
  say('installing npm packages');
  const npm = (...args) =>
    run('npm', [...args, '--include=dev', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error'], {
      quiet: true,
      // A package's script would send what it finds here; none is run, and should one be, it is told not to.
      env: { ...process.env, IBM_TELEMETRY_DISABLED: 'true' }
    });
  let { code, output } = await npm('ci');
  // A registry that lacks a build of an optional package for some other system makes `ci` refuse; `install` passes it over.
  if (code !== 0) ({ code, output } = await npm('install', '--no-save'));
  if (code !== 0)
    stopWith(
      `npm could not install the packages:\n${output.trim().split('\n').slice(-8).join('\n')}\nCheck that the npm registry can be reached, then start again.`
    );
  stamp(stampFile, hash);
}
