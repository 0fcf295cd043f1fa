import type { TableText } from '../../core/planning/position/question.ts';
import type { Ranking } from '../../core/tactics/ranking.ts';
import type { Situation } from '../../core/tactics/situation.ts';

/** A situation as it goes to a worker. */
export type SituationAsked = Omit<Situation, 'table'> & { readonly table: TableText };

/** What the worker for answers does. */
export interface TacticsSolver {
  /** @param onShare told what share is done, 0…1 */
  rank(asked: SituationAsked, onShare: (share: number) => void): Promise<Ranking>;
}
