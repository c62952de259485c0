import { readFileSync, readdirSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { PurgeCSS } from 'purgecss';
import type { Plugin } from 'vite';

const carbon = resolve('node_modules/carbon-components-svelte/src');
/** Class names that Carbon puts together while it runs. */
const putTogether = [
  /^bx--tag--/,
  /^bx--popover/,
  /^bx--tooltip/,
  /^bx--overflow-menu/,
  /^bx--list-box/,
  /^bx--date-picker/,
  /flatpickr/
];

function svelteFiles(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? svelteFiles(path) : path.endsWith('.svelte') ? [path] : [];
  });
}

/** The components of Carbon that Eave uses, and those that they use. */
function usedComponents(): Map<string, string> {
  const found = new Map<string, string>();
  const visit = (path: string) => {
    if (found.has(path)) return;
    const code = readFileSync(path, 'utf8');
    found.set(path, code);
    for (const [, from] of code.matchAll(/from ["'](\.[^"']+\.svelte)["']/g)) visit(resolve(dirname(path), from!));
  };
  for (const file of svelteFiles('src'))
    for (const [, from] of readFileSync(file, 'utf8').matchAll(
      /from 'carbon-components-svelte\/src\/([^']+\.svelte)'/g
    ))
      visit(join(carbon, from!));
  return found;
}

/** Carbon's style sheet without the rules of components that are not used, and without the fonts of a remote host: Eave ships its own. */
export const carbonCss: Plugin = {
  name: 'carbon-css',
  enforce: 'pre',
  async transform(code, id) {
    if (!/carbon-components-svelte\/css\/.*\.css/.test(id)) return;
    const own = svelteFiles('src').map((file) => ({ raw: readFileSync(file, 'utf8'), extension: 'svelte' }));
    const theirs = [...usedComponents().values()].map((raw) => ({ raw, extension: 'svelte' }));
    const [pruned] = await new PurgeCSS().purge({
      content: [...own, ...theirs],
      css: [{ raw: code.replace(/@font-face\s*\{[^}]*\}/g, '') }],
      safelist: { standard: ['html', 'body', ':root'], greedy: putTogether },
      variables: false
    });
    return { code: pruned!.css, map: null };
  }
};
