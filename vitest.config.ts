import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['core/**/*.test.ts', 'src/**/*.test.ts', 'scripts/**/*.test.ts', 'cli/**/*.test.ts'],
    reporters: ['default']
  }
});
