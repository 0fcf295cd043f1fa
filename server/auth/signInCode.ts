import { createHash, randomInt } from 'node:crypto';

/** Letters and digits that are not taken for one another when they are read aloud. */
const ALPHABET = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const GROUPS = 2;
const GROUP_LENGTH = 5;

/** A code such as "K7M2P-XR4TD": 49 bits, and tries are counted. */
export function newSignInCode(): string {
  const group = () =>
    Array.from({ length: GROUP_LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)] ?? '').join('');
  return Array.from({ length: GROUPS }, group).join('-');
}

/** What is kept of a code; however it is typed. */
export function digestOfCode(code: string): string {
  return createHash('sha256')
    .update(code.toUpperCase().replaceAll(/[^A-Z0-9]/g, ''))
    .digest('hex');
}
