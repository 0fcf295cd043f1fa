import type { Viewer } from '../../../core/records/account.ts';
import type { Drill } from '../../../core/records/drill.ts';

/** Whether a coach keeps the plan of a drill from who looks, until the round is over. */
export function isPlanKept({ role }: Pick<Viewer, 'role'>, { hidesPlan }: Pick<Drill, 'hidesPlan'>): boolean {
  return role === 'player' && hidesPlan === true;
}
