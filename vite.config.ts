import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  // A third of the server's bundle otherwise, and its own dependencies mixed up with others of the same name.
  ssr: { external: ['better-auth'] },
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  // Fonts as files: data: URLs would be refused by the content-security policy.
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 300 },
  optimizeDeps: { include: ['comlink', 'idb', 'zod/mini', 'fastest-levenshtein', 'chart.js'] }
});
