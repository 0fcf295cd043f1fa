import { fuzz } from '../server/testing/fuzz.ts';
import { lendDatabase } from '../server/testing/lend.ts';
import { leaveWith, say } from './lib/report.ts';
import { startThrowawayDatabase } from './lib/throwawayDatabase.ts';

/** `npm run fuzz [-- --requests N] [-- --seed N]`: as many made-up requests, 50,000 by default; leaves with 1 for a fault. */
function numberAfter(name: string, otherwise: number): number {
  const at = process.argv.indexOf(name);
  const value = Number(process.argv[at + 1]);
  return at === -1 || !Number.isInteger(value) ? otherwise : value;
}

try {
  const requests = numberAfter('--requests', 50_000);
  const seed = numberAfter('--seed', 1 + Math.floor(Math.random() * 1e6));
  const database = await startThrowawayDatabase('jolly-fuzz');
  lendDatabase(database.url);
  say(`${String(requests)} requests, seed ${String(seed)}`);
  let told = 0;
  const report = await fuzz(seed, requests, (done) => {
    if (done - told < 5_000) return;
    told = done;
    say(`${String(done)} asked`);
  });
  await database.end();
  for (const { request, what } of report.faults) console.log(`${what}: ${request}`);
  say(
    `${String(report.accepted)} accepted, ${String(report.refused)} refused, ${String(report.faults.length)} faults (seed ${String(seed)})`,
  );
  process.exit(report.faults.length === 0 ? 0 : 1);
} catch (error) {
  leaveWith(error);
}
