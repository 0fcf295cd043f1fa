import { digestOfCode, newSignInCode } from '../auth/signInCode.ts';
import type { Database } from '../db/pool.ts';
import { storeSignInCode } from '../db/queries/signInCodes.ts';

/** A code is good for so long. */
const CODE_DAYS = 7;

/** A new code for somebody's sign-in, in the place of one that they may have. It is shown once. @param now ms since 1970 */
export async function giveCode(
  db: Database,
  personId: string,
  now: number,
): Promise<{ readonly code: string; readonly expiresAt: string }> {
  const code = newSignInCode();
  const expiresAt = new Date(now + CODE_DAYS * 86_400_000);
  await storeSignInCode(db, personId, digestOfCode(code), expiresAt);
  return { code, expiresAt: expiresAt.toISOString() };
}
