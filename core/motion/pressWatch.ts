import { eachOverlap } from './contactPairs.ts';
import type { EnginePress } from './engine.ts';

/** Two balls press each other from this overlap on, metres: a hundredth of what a break presses them. */
const PRESSES = 2e-6;

/**
 * Watches the contacts of a contact phase as it goes on: which begin to press when, and how deep.
 * @param presses takes what is seen @param members indices of the phase's balls
 * @returns to be called after each step with its time, seconds
 */
export function pressWatch(presses: EnginePress[], members: readonly number[]): (t: number) => void {
  const open = new Map<number, EnginePress>();
  return (t) => {
    const still = new Set<number>();
    eachOverlap((a, b, overlap) => {
      if (overlap < PRESSES) return;
      const key = a * members.length + b;
      still.add(key);
      const now = open.get(key);
      if (now !== undefined) {
        now.deepest = Math.max(now.deepest, overlap);
        now.until = t;
        return;
      }
      const begun = { t, until: t, i: members[a]!, j: members[b]!, deepest: overlap };
      open.set(key, begun);
      presses.push(begun);
    });
    for (const key of open.keys()) if (!still.has(key)) open.delete(key);
  };
}
