import { hash, verify } from '@node-rs/argon2';

/** The library's algorithm is argon2id; the cost is what OWASP asks of it: 19 MiB, two passes, one lane. */
const OPTIONS = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** The hash of no password: checked when there is no such person, so that the answer takes as long. */
const NOBODY = hash('nobody', OPTIONS);

export function hashPassword(password: string): Promise<string> {
  return hash(password, OPTIONS);
}

/** @param stored undefined when the person is unknown or has no password */
export async function passwordFits(password: string, stored: string | undefined): Promise<boolean> {
  const fits = await verify(stored ?? (await NOBODY), password);
  return fits && stored !== undefined;
}
