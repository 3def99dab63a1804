import { fileURLToPath } from 'node:url';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  // Compiles the runes of session.svelte.ts.
  plugins: [svelte()],
  resolve: {
    alias: {
      $core: fileURLToPath(new URL('./core', import.meta.url)),
      $lib: fileURLToPath(new URL('./src/lib', import.meta.url))
    }
  },
  test: {
    testTimeout: 60_000,
    // Both cores: left to itself it keeps one free.
    maxWorkers: 2,
    setupFiles: ['core/tests/seed.ts'],
    include: ['core/**/*.test.ts', 'src/**/*.test.ts', 'cli/**/*.test.ts']
  }
});
