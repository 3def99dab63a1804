import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** Bundled as the program itself is: what reads TypeScript on the fly wraps every inner function, and is a fifth slower. */
export default defineConfig({
  publicDir: false,
  resolve: { alias: { $core: fileURLToPath(new URL('../core', import.meta.url)) } },
  build: {
    ssr: true,
    outDir: 'build/bench',
    target: 'node20',
    rollupOptions: {
      input: { run: 'bench/run.ts', worker: 'bench/tolerance.worker.ts', search: 'bench/search.worker.ts' }
    }
  }
});
