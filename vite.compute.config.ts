import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** The server's computing threads, built beside it. */
export default defineConfig({
  publicDir: false,
  resolve: { alias: { $core: fileURLToPath(new URL('core', import.meta.url)) } },
  build: {
    ssr: true,
    outDir: 'build/compute',
    target: 'node20',
    rollupOptions: { input: { worker: 'src/lib/server/compute/worker.ts' } }
  }
});
