import { proxy } from 'comlink';
import type { Ranking } from '../../core/tactics/ranking.ts';
import { oneRun, type Running } from './oneRun.ts';
import type { SituationAsked, TacticsSolver } from './tacticsProtocol.ts';

/** What can be done in a situation, ranked; in a thread of its own: to stop it is to end the thread. */
export function rankingOf(asked: SituationAsked, onShare: (share: number) => void): Running<Ranking> {
  const worker = new Worker(new URL('./tactics.worker.ts', import.meta.url), { type: 'module' });
  return oneRun<TacticsSolver, Ranking>(worker, (solver) => solver.rank(asked, proxy(onShare)));
}
