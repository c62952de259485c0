import { has, run } from './run.mjs';
import { say, stopWith } from './say.mjs';

/** Installs packages of Debian, as root or through sudo; says what to do where that is not possible. */
export async function installPackages(packages, what) {
  const list = packages.join(' ');
  if (!has('apt-get'))
    stopWith(
      `${what} is missing and there is no apt-get to install it with. Install ${list} with your system's package manager, then start again.`
    );
  const root = process.getuid?.() === 0;
  if (!root && (!has('sudo') || (await run('sudo', ['-n', 'true'], { quiet: true })).code !== 0))
    stopWith(
      `${what} is missing, and this user may not install packages. Ask an administrator for: apt-get install ${list}. Then start again.`
    );
  const command = root ? ['apt-get'] : ['sudo', '-n', 'apt-get'];
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  say(`installing ${list} (this takes a minute or two)`);
  const apt = (...args) =>
    run(command[0], [...command.slice(1), '-o', 'DPkg::Lock::Timeout=120', ...args], { quiet: true, env });
  await apt('update', '-q');
  const { code, output } = await apt('install', '-y', '-q', '--no-install-recommends', ...packages);
  if (code !== 0)
    stopWith(
      `Installing ${list} failed:\n${output.trim().split('\n').slice(-8).join('\n')}\nInstall it by hand, then start again.`
    );
}
