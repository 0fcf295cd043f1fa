import { defineConfig } from 'vite';

/** The server as one file for Node.js; packages stay outside. */
export default defineConfig({
  build: {
    ssr: 'server/main.ts',
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: { output: { entryFileNames: 'main.js' } },
  },
});
