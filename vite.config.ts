import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

interface Graph {
  getModuleInfo: (id: string) => { importedIds: readonly string[] } | null;
}

/** Everything that a module asks for at once, itself included. */
function closureOf(root: string, graph: Graph): Set<string> {
  const seen = new Set<string>();
  const queue = [root];
  for (let id = queue.pop(); id !== undefined; id = queue.pop()) {
    if (seen.has(id)) continue;
    seen.add(id);
    queue.push(...(graph.getModuleInfo(id)?.importedIds ?? []));
  }
  return seen;
}

const ROOT = new URL('.', import.meta.url).pathname;
/** Pages in whose parts the browser is not to look for: the first one that needs a module has it in its chunk. */
const TOGETHER = [
  ['base', `${ROOT}src/routes/+layout.svelte`],
  ['show', `${ROOT}src/routes/show/[id]/+page.svelte`]
] as const;
const closures = new Map<string, Set<string>>();

export default defineConfig(({ isSsrBuild }) => ({
  // A third of the server's bundle otherwise, and its own dependencies mixed up with others of the same name.
  ssr: { external: ['better-auth'] },
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  // Fonts as files: data: URLs would be refused by the content-security policy.
  build: {
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 600,
    rolldownOptions: isSsrBuild
      ? {}
      : {
          output: {
            codeSplitting: {
              groups: [
                {
                  name: (id: string, graph: Graph) =>
                    TOGETHER.find(([name, root]) => {
                      if (!closures.has(name)) closures.set(name, closureOf(root, graph));
                      return closures.get(name)!.has(id);
                    })?.[0]
                }
              ]
            }
          }
        }
  },
  optimizeDeps: { include: ['comlink', 'idb', 'zod', 'fastest-levenshtein', 'chart.js'] }
}));
