/** The epoch of each club as this process knows it: another one when a backup was brought back, by whichever server. */
const known = new Map<string, number>();
let changes = 0;

/** Told with every session that is looked up, so that a process never remembers for longer than until the next request. */
export function noteEpoch(clubId: string, epoch: number): void {
  if (known.has(clubId) && known.get(clubId) !== epoch) changes++;
  known.set(clubId, epoch);
}

/** How often some club got another epoch: what was missing before may be there now. */
export function epochChanges(): number {
  return changes;
}

/** What stands in the keys of everything that a process remembers of a club; the library's texts have none. */
export function epochOf(owner: string): number {
  return known.get(owner) ?? 0;
}
