import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { StartError } from './report.ts';

/** The folder of this installation's data: demo and real club are kept apart. */
export function dataFolder(demo: boolean): string {
  const folder = path.resolve(process.env['JOLLY_DATA'] ?? '.data', demo ? 'demo' : 'club');
  try {
    mkdirSync(folder, { recursive: true, mode: 0o755 });
  } catch (error) {
    throw new StartError(
      `The data folder ${folder} cannot be made (${error instanceof Error ? error.message : 'unknown'}). Set JOLLY_DATA to a folder that can be written.`,
    );
  }
  return folder;
}
