import { listClubs } from '../server/db/queries/clubs.ts';
import { damagedRows, verifyRounds } from '../server/rounds/verify.ts';
import { withInstallation } from './lib/installation.ts';
import { leaveWith, say } from './lib/report.ts';

/**
 * `npm run verify [-- --fix] [-- --demo]`: counts every kept sum again from its attempts and looks at every row. Says what
 * differs, and with --fix puts the sums right; leaves with 1 when something is left that is not right.
 */
const fix = process.argv.includes('--fix');
const demo = process.argv.includes('--demo');

try {
  const left = await withInstallation(demo, async (pool) => {
    let wrong = 0;
    for (const club of await listClubs(pool)) {
      say(`${club.name}: counting again`);
      for (const findings of [verifyRounds(pool, club.id, fix), damagedRows(pool, club.id)]) {
        for await (const { table, id, what, mended } of findings) {
          console.log(`  ${table} ${id}: ${what}${mended ? '; put right' : ''}`);
          if (!mended) wrong++;
        }
      }
    }
    return wrong;
  });
  say(left === 0 ? 'Everything fits' : `${String(left)} do not fit`);
  process.exitCode = left === 0 ? 0 : 1;
} catch (error) {
  leaveWith(error);
}
