import type { LeaveGrade } from './kickScore.ts';

/** From these chances of the opponent's best pot on a leave is half a chance, or wide open. */
export const HALF_A_CHANCE = 0.25;
export const WIDE_OPEN = 0.6;

/** What a drill can ask to be left: no chance worth the name, or no straight way to any ball that may be played. */
export const ASKED_LEAVES = ['nothing on', 'hidden'] as const;
export type AskedLeave = (typeof ASKED_LEAVES)[number];

/** What a kick or a safety has to leave for it to be done; undefined for anything. */
export function leaveAsked({
  kind,
  leave,
}: {
  readonly kind: string;
  readonly leave?: AskedLeave | undefined;
}): AskedLeave | undefined {
  return leave ?? (kind === 'safety' ? 'nothing on' : undefined);
}

/** Whether a leave is what was asked for. @param hidden whether no straight way to a ball that may be played is left */
export function isAskedLeave(
  asked: AskedLeave,
  { leave, hidden }: { readonly leave: LeaveGrade; readonly hidden: boolean },
): boolean {
  return asked === 'hidden' ? hidden : leave === 'nothing on';
}

/** How a leave is graded: what an opponent makes of it. @param chance of their best pot, 0…1 */
export function leaveGrade(chance: number): LeaveGrade {
  return chance >= WIDE_OPEN ? 'wide open' : chance >= HALF_A_CHANCE ? 'half a chance' : 'nothing on';
}
