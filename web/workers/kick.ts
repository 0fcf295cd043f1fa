import { proxy, wrap, type Remote } from 'comlink';
import type { KickFamily } from '../../core/shot/kicks/kickFamilies.ts';
import type { KickStroke } from '../../core/shot/kicks/way.ts';
import { oneRun, type Running } from './oneRun.ts';
import type { KickAsked, KickSolver, LinesTold } from './kickProtocol.ts';

const start = () => new Worker(new URL('./kick.worker.ts', import.meta.url), { type: 'module' });

let remote: Remote<KickSolver> | undefined;

/** The lines of one stroke; one worker for the page, started when first needed. */
export function kickLinesOf(asked: KickAsked, stroke: KickStroke): Promise<LinesTold> {
  remote ??= wrap<KickSolver>(start());
  return remote.lines(asked, stroke);
}

/** Lines over paces and sides, in a thread of their own: to stop it is to end the thread. */
export function kickFamiliesOf(
  asked: KickAsked,
  onShare: (share: number) => void,
): Running<readonly KickFamily[]> {
  return oneRun<KickSolver, readonly KickFamily[]>(start(), (solver) =>
    solver.families(asked, proxy(onShare)),
  );
}
