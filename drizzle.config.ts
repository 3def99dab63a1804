import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'postgresql',
  schema: ['./src/lib/server/schema.ts', './src/lib/server/schema-auth.ts'],
  out: './drizzle'
});
