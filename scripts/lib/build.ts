import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { command } from './command.ts';
import { step } from './report.ts';

const SOURCES = ['core', 'server', 'web', 'vite.config.ts', 'vite.server.config.ts', 'package-lock.json'];
const MARK = path.join('dist', 'built-from');

function filesIn(place: string): string[] {
  if (!existsSync(place)) return [];
  if (statSync(place).isFile()) return [place];
  return readdirSync(place).flatMap((name) => filesIn(path.join(place, name)));
}

/** A digest of all sources' names, sizes and times: cheap, and different after any change. */
function sourcesDigest(): string {
  const hash = createHash('sha256');
  for (const file of SOURCES.flatMap(filesIn).sort()) {
    const { size, mtimeMs } = statSync(file);
    hash.update(`${file} ${String(size)} ${String(mtimeMs)}\n`);
  }
  return hash.digest('hex');
}

/** Builds interface and server when the sources have changed since the last build. */
export async function ensureBuilt(): Promise<void> {
  const digest = sourcesDigest();
  if (existsSync(MARK) && readFileSync(MARK, 'utf8') === digest) return;
  await step('Building the application', async () => {
    // Whoever asks for it (a test, a script), what is built is what is served.
    const env = { ...process.env, NODE_ENV: 'production' };
    await command('npm', ['run', '-s', 'build'], { env, failure: 'The application could not be built.' });
  });
  writeFileSync(MARK, digest);
}
