import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  // Fonts as files: data: URLs would be refused by the content-security policy.
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 300 },
  optimizeDeps: { include: ['comlink', 'idb', 'zod', 'fastest-levenshtein', 'chart.js'] }
});
