import { createHash } from 'node:crypto';
import type { Dependencies } from '../dependencies.ts';
import { isKnownDevice } from '../db/queries/knownDevices.ts';
import { countTry, forgetTries, uncountTry, type Slowing } from '../db/queries/signInTries.ts';
import { Refusal } from '../http/errors.ts';

/** For one account from one address: who forgot a password has five tries before they wait. */
const PAIR: Slowing = { free: 5, longestS: 300 };
/** From one address, for whichever account: a club behind one address has many who mistype. */
const ADDRESS: Slowing = { free: 40, longestS: 20 };
/** For one account, from wherever: only many addresses together come near this. */
const ACCOUNT: Slowing = { free: 60, longestS: 10 };
/** On a device on which this account has signed in before: whatever strangers do does not slow it down. */
const DEVICE: Slowing = { free: 10, longestS: 300 };

/** Who tries, as what, and from where. */
export interface SignInTry {
  readonly email: string;
  readonly address: string;
  /** Digest of the device's cookie; undefined for a device that has none. */
  readonly device: string | undefined;
}

/** What is counted has no name in it, and a length that its column takes. */
const digestOf = (...parts: readonly string[]) => createHash('sha256').update(parts.join('\n')).digest('hex');

/**
 * Counts a try to sign in before its password is looked at, and makes whoever tries on wait longer from one to the next.
 * Nobody is locked out by others: a stranger's tries slow down the stranger's address, and a known device waits for none.
 * @returns forgets the tries, once somebody has got in
 * @throws Refusal 429 with the seconds to wait
 */
export async function slowDown(
  deps: Dependencies,
  { email, address, device }: SignInTry,
): Promise<() => Promise<void>> {
  const { pool } = deps;
  const account = email.toLowerCase();
  const known = device !== undefined && (await isKnownDevice(pool, device, account));
  const subjects: readonly (readonly [string, Slowing])[] = known
    ? [[`device:${digestOf(device, account)}`, DEVICE]]
    : [
        [`pair:${digestOf(account, address)}`, PAIR],
        [`address:${digestOf(address)}`, ADDRESS],
        [`account:${digestOf(account)}`, ACCOUNT],
      ];
  const now = new Date(deps.now());
  const waits = await Promise.all(
    subjects.map(([subject, slowing]) => countTry(pool, subject, now, slowing)),
  );
  const wait = Math.max(...waits);
  if (wait > 0) throw new TooManyTries(wait);
  return async () => {
    const [own, ...shared] = subjects.map(([subject]) => subject);
    if (own !== undefined) await forgetTries(pool, own);
    for (const subject of shared) await uncountTry(pool, subject);
  };
}

/** Too many tries: wait before the next one. */
export class TooManyTries extends Refusal {
  readonly seconds: number;

  constructor(seconds: number) {
    const time = seconds < 90 ? `${String(seconds)} seconds` : `${String(Math.ceil(seconds / 60))} minutes`;
    super(429, `too many tries: wait ${time} and try again`, 'password');
    this.seconds = seconds;
  }
}
