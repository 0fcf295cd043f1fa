import { spawn } from 'node:child_process';
import path from 'node:path';
import { build } from 'vite';

/**
 * Compiles a program, as the application is, and runs it in a process of its own, whose exit code becomes this one's:
 * nothing of the build or of the development loader is in its way.
 * @param input what it is made of by name, `main` among it
 */
export async function runCompiled(name: string, input: Readonly<Record<string, string>>): Promise<void> {
  const out = path.resolve('dist', name);
  await build({
    configFile: false,
    logLevel: 'error',
    build: {
      ssr: true,
      outDir: out,
      emptyOutDir: true,
      target: 'node20',
      rolldownOptions: { input: { ...input }, output: { entryFileNames: '[name].js' } },
    },
  });
  const run = spawn(process.execPath, [path.join(out, 'main.js'), ...process.argv.slice(2)], {
    stdio: 'inherit',
  });
  run.on('exit', (code) => process.exit(code ?? 1));
}
