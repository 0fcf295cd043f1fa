import type { RowDataPacket } from 'mysql2/promise';
import { giveCode } from '../server/clubs/codes.ts';
import { withInstallation } from './lib/installation.ts';
import { leaveWith, StartError } from './lib/report.ts';

/** `npm run password EMAIL [-- --demo]`: a code with which somebody who forgot their password makes a new one. */
const [email] = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const demo = process.argv.includes('--demo');

try {
  if (email === undefined) throw new StartError('Whose? npm run password EMAIL');
  await withInstallation(demo, async (pool) => {
    const [rows] = await pool.execute<(RowDataPacket & { id: string; name: string })[]>(
      'SELECT id, name FROM people WHERE email = ? AND archived_at IS NULL',
      [email.toLowerCase()],
    );
    const person = rows[0];
    if (person === undefined) throw new StartError(`Nobody signs in with ${email}.`);
    const { code, expiresAt } = await giveCode(pool, person.id, Date.now());
    console.log(`The code for ${person.name}, good until ${expiresAt}: ${code}`);
    console.log('On the sign-in page: "I have a code", with the same e-mail address and a new password.');
  });
} catch (error) {
  leaveWith(error);
}
