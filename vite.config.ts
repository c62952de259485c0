import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig, type Plugin } from 'vite';

/** Carbon's stylesheet names fonts on a remote host; Eave ships its own, so those rules are dropped. */
const dropRemoteFonts: Plugin = {
  name: 'drop-remote-fonts',
  enforce: 'pre',
  transform(code, id) {
    if (!/carbon-components-svelte\/css\/.*\.css/.test(id)) return;
    return { code: code.replace(/@font-face\s*\{[^}]*\}/g, ''), map: null };
  }
};

export default defineConfig({
  plugins: [dropRemoteFonts, sveltekit()],
  // Its files can be read by a bundler only.
  ssr: { noExternal: [/^@atlaskit\/pragmatic-drag-and-drop/] },
  build: { chunkSizeWarningLimit: 1500 }
});
