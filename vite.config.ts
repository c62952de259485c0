import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vite';
import { carbonCss } from './vite.carbon-css';

export default defineConfig({
  plugins: [carbonCss, sveltekit()],
  // Its files can be read by a bundler only.
  ssr: { noExternal: [/^@atlaskit\/pragmatic-drag-and-drop/] },
  build: {
    chunkSizeWarningLimit: 1500,
    rolldownOptions: {
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
