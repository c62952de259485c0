import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { binaries } from './postgres.mjs';
import { has, run } from './run.mjs';
import { stopWith } from './say.mjs';

/** A program of PostgreSQL's: of the newest release that Debian's package has installed, or on the path. */
function toolOf(name) {
  const bin = binaries();
  if (bin && existsSync(join(bin, name))) return join(bin, name);
  if (has(name)) return name;
  return stopWith(`${name} is missing. Install Debian’s package postgresql-client, then try again.`);
}

/** Runs one of them on a database; its password is handed over in the environment, where other users do not see it. */
export function databaseTool(name, url, args) {
  const { hostname, port, username, password, pathname } = new URL(url);
  return run(toolOf(name), [...args, '-w'], {
    quiet: true,
    env: {
      ...process.env,
      PGHOST: hostname,
      PGPORT: port || '5432',
      PGUSER: decodeURIComponent(username),
      PGPASSWORD: decodeURIComponent(password),
      PGDATABASE: decodeURIComponent(pathname.slice(1))
    }
  });
}
