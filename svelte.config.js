import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
  preprocess: vitePreprocess(),
  kit: {
    // Benches are checked with all else.
    typescript: { config: (config) => ({ ...config, include: [...config.include, '../bench/*.ts'] }) },
    adapter: adapter({ out: 'build', precompress: true }),
    alias: {
      $api: 'src/api',
      $core: 'src/core',
      $sources: 'src/sources',
      $server: 'src/server'
    },
    // Eave checks the origin of every change itself (src/server/platform/hosts.ts), whatever is sent.
    csrf: { checkOrigin: false },
    csp: {
      mode: 'nonce',
      directives: {
        'default-src': ['self'],
        'script-src': ['self'],
        'style-src': ['self'],
        'style-src-attr': ['unsafe-inline'],
        'img-src': ['self', 'data:'],
        'font-src': ['self'],
        'connect-src': ['self'],
        'worker-src': ['self'],
        'object-src': ['none'],
        'base-uri': ['none'],
        'form-action': ['self'],
        'frame-ancestors': ['none']
      }
    }
  }
};
