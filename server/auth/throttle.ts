import type { Dependencies } from '../dependencies.ts';
import { clearFailures, countFailures, recordFailure } from '../db/queries/signInFailures.ts';
import { Refusal } from '../http/errors.ts';

const WINDOW_MS = 15 * 60_000;
/** Failed tries in a window: for one e-mail address from wherever, and from one address for whichever e-mail. */
const PER_EMAIL = 6;
const PER_ADDRESS = 40;

/** Counts failed sign-ins and refuses further ones when there were too many. */
export class SignInThrottle {
  readonly #deps: Dependencies;
  readonly #subjects: readonly { readonly key: string; readonly limit: number }[];

  constructor(deps: Dependencies, email: string, address: string) {
    this.#deps = deps;
    this.#subjects = [
      { key: `email:${email.toLowerCase()}`.slice(0, 200), limit: PER_EMAIL },
      { key: `address:${address}`, limit: PER_ADDRESS },
    ];
  }

  /** @throws Refusal 429 while too many tries have failed */
  async check(): Promise<void> {
    const now = new Date(this.#deps.now());
    for (const { key, limit } of this.#subjects) {
      if ((await countFailures(this.#deps.pool, key, now)) >= limit) {
        throw new Refusal(429, 'too many failed tries: wait a quarter of an hour and try again', 'password');
      }
    }
  }

  async failed(): Promise<void> {
    const now = this.#deps.now();
    for (const { key } of this.#subjects) {
      await recordFailure(this.#deps.pool, key, new Date(now), new Date(now + WINDOW_MS));
    }
  }

  async succeeded(): Promise<void> {
    const email = this.#subjects[0];
    if (email !== undefined) await clearFailures(this.#deps.pool, email.key);
  }
}
