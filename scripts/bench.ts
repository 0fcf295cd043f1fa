import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'vite';

/** Benchmarks run compiled, as the application does, not through the development loader. */
const OUT = path.resolve('dist', 'bench');
await build({
  configFile: false,
  logLevel: 'error',
  build: {
    ssr: 'bench/main.ts',
    outDir: OUT,
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: { output: { entryFileNames: 'main.js' } },
  },
});
await import(pathToFileURL(path.join(OUT, 'main.js')).href);
process.exit(0);
