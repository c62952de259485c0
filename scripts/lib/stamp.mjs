import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** A hash over files and whole folders, by content. */
export function hashOf(paths) {
  const hash = createHash('sha256').update(process.version);
  const add = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) add(join(path, name));
    else hash.update(path).update(readFileSync(path));
  };
  paths.forEach(add);
  return hash.digest('hex');
}

export const isStamped = (file, hash) => existsSync(file) && readFileSync(file, 'utf8') === hash;

export function stamp(file, hash) {
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, hash);
}
