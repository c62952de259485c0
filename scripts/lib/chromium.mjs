import { existsSync } from 'node:fs';
import { installPackages } from './packages.mjs';

/** Makes sure that Debian's Chromium is there for the browser tests. */
export async function ensureChromium() {
  if (!existsSync('/usr/bin/chromium')) await installPackages(['chromium'], 'Chromium');
}
