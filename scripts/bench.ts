import { spawn } from 'node:child_process';
import path from 'node:path';
import { build } from 'vite';

/** Benchmarks run compiled, as the application does, not through the development loader. */
const OUT = path.resolve('dist', 'bench');
await build({
  configFile: false,
  logLevel: 'error',
  build: {
    ssr: true,
    outDir: OUT,
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: {
      input: { main: 'bench/main.ts', cloudWorker: 'bench/cloudWorker.ts' },
      output: { entryFileNames: '[name].js' },
    },
  },
});
// A process of its own: nothing of the build or of the development loader is in the way.
const run = spawn(process.execPath, [path.join(OUT, 'main.js'), ...process.argv.slice(2)], {
  stdio: 'inherit',
});
run.on('exit', (code) => process.exit(code ?? 1));
