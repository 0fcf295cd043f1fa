import { createHash } from 'node:crypto';

/** The same name gives the same id, so that links into the demo stay good when it is made anew. */
export function idOf(name: string): string {
  const hex = createHash('sha256').update(`demo ${name}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
