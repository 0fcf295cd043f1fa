import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { readBackup } from '../server/exports/readBackup.ts';
import { restoreBackup } from '../server/exports/restore.ts';
import { Refusal } from '../server/http/errors.ts';
import { withInstallation } from './lib/installation.ts';
import { leaveWith, say, StartError } from './lib/report.ts';

/** `npm run restore FILE [-- --demo]`: puts a backup, packed or not, in the place of its club. */
const [file] = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const demo = process.argv.includes('--demo');

function textOf(name: string): string {
  const bytes = readFileSync(name);
  const packed = bytes[0] === 0x1f && bytes[1] === 0x8b;
  return (packed ? gunzipSync(bytes) : bytes).toString('utf8');
}

try {
  if (file === undefined) throw new StartError('Name the backup: npm run restore FILE');
  const text = textOf(file);
  const { club, madeAt, rowsOf } = readBackup(text);
  say(`${file}: ${club.name}, as it was at ${madeAt}, with ${String(rowsOf('rounds').length)} rounds`);
  await withInstallation(demo, (pool) => restoreBackup(pool, { clubId: club.id, coachId: null }, text));
  say('It is back. Everybody of the club signs in again.');
} catch (error) {
  leaveWith(error instanceof Refusal ? new StartError(`Nothing was changed: ${error.message}.`) : error);
}
