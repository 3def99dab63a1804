import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { $core: fileURLToPath(new URL('./core', import.meta.url)) } },
  test: { testTimeout: 60_000, include: ['core/**/*.test.ts', 'src/**/*.test.ts', 'cli/**/*.test.ts'] }
});
