import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { StartError } from './report.ts';

/** When a process began, from the kernel: with the id it names a process for good. */
function startOf(pid: number): string | undefined {
  const file = `/proc/${String(pid)}/stat`;
  if (!existsSync(file)) return undefined;
  const text = readFileSync(file, 'utf8');
  return text.slice(text.lastIndexOf(')') + 2).split(' ')[19];
}

/**
 * Makes sure that only one Jolly Rail uses a data folder. A mark left by one that was killed is no hindrance.
 * @returns takes the mark away
 * @throws StartError when another one is running
 */
export function claimFolder(folder: string): () => void {
  const mark = path.join(folder, 'running');
  if (existsSync(mark)) {
    const [pid, start] = readFileSync(mark, 'utf8').trim().split(' ');
    if (startOf(Number(pid)) === start && start !== undefined) {
      throw new StartError(
        `Jolly Rail is already running with the data in ${folder} (process ${pid ?? '?'}). Stop it first, or set JOLLY_DATA to another folder.`,
      );
    }
  }
  writeFileSync(mark, `${String(process.pid)} ${startOf(process.pid) ?? ''}\n`);
  return () => rmSync(mark, { force: true });
}
