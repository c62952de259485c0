import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vite';
import { carbonCss } from './vite.carbon-css';

export default defineConfig({
  plugins: [carbonCss, sveltekit()],
  // Its files can be read by a bundler only.
  ssr: { noExternal: [/^@atlaskit\/pragmatic-drag-and-drop/] },
  build: {
    chunkSizeWarningLimit: 1500,
    // The content-security policy lets no font come from a data: address.
    assetsInlineLimit: (file) => (/\.woff2?$/.test(file) ? false : undefined),
    rolldownOptions: {
      // The core does nothing when it is loaded, so a page takes of it only what it uses.
      treeshake: { moduleSideEffects: [{ test: /\/src\/core\/|\/snowball-stemmers\//, sideEffects: false }] },
      output: {
        advancedChunks: {
          groups: [
            { name: 'most', minShareCount: 16 },
            { name: 'some', minShareCount: 10 }
          ]
        }
      }
    }
  }
});
