import { defineConfig } from 'vite';

/** The server and its worker threads as files for Node.js; packages stay outside. */
export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: {
      input: {
        main: 'server/main.ts',
        benchmarkWorker: 'server/benchmarks/worker.ts',
        callWorker: 'server/calls/worker.ts',
        planWorker: 'server/drills/planWorker.ts',
        restoreWorker: 'server/exports/restoreWorker.ts',
      },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name]-[hash].js' },
    },
  },
});
