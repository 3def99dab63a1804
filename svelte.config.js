import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
  preprocess: vitePreprocess(),
  compilerOptions: { runes: true },
  kit: {
    adapter: adapter({ out: 'build' }),
    // Registered by the page itself, once it is ready: a browser that refuses it works on without.
    serviceWorker: { register: false },
    alias: { $core: 'core' },
    csp: {
      mode: 'auto',
      directives: {
        'default-src': ['self'],
        'script-src': ['self', 'wasm-unsafe-eval'],
        'style-src': ['self', 'unsafe-inline'],
        'img-src': ['self', 'data:'],
        'font-src': ['self'],
        'connect-src': ['self'],
        'worker-src': ['self'],
        'object-src': ['none'],
        'base-uri': ['self'],
        'form-action': ['self'],
        'frame-ancestors': ['none']
      }
    },
    typescript: {
      config(config) {
        config.include.push(
          '../core/**/*.ts',
          '../e2e/**/*.ts',
          '../bench/**/*.ts',
          '../cli/**/*.ts',
          '../*.config.ts'
        );
        return config;
      }
    }
  }
};
