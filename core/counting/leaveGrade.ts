import type { LeaveGrade } from './kickScore.ts';

/** From these chances of the opponent's best pot on a leave is half a chance, or wide open. */
export const HALF_A_CHANCE = 0.25;
export const WIDE_OPEN = 0.6;

/** How a leave is graded: what an opponent makes of it. @param chance of their best pot, 0…1 */
export function leaveGrade(chance: number): LeaveGrade {
  return chance >= WIDE_OPEN ? 'wide open' : chance >= HALF_A_CHANCE ? 'half a chance' : 'nothing on';
}
