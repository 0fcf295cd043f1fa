import { proxy, wrap, type Remote } from 'comlink';
import type { KickFamily, RatedLine } from '../../core/shot/kicks/kickFamilies.ts';
import type { KickStroke } from '../../core/shot/kicks/way.ts';
import { oneRun, type Running } from './oneRun.ts';
import type { KickTold } from '../../core/scoring/kickCause.ts';
import type { KickAsked, KickEnd, KickSolver, LinesTold, PlannedLine } from './kickProtocol.ts';

const start = () => new Worker(new URL('./kick.worker.ts', import.meta.url), { type: 'module' });

let remote: Remote<KickSolver> | undefined;

/** One worker for the page, started when first needed. */
function shared(): Remote<KickSolver> {
  remote ??= wrap<KickSolver>(start());
  return remote;
}

/** The lines of one stroke. */
export function kickLinesOf(asked: KickAsked, stroke: KickStroke): Promise<LinesTold> {
  return shared().lines(asked, stroke);
}

/** What the places of both balls tell of a kick that was planned. */
export function kickToldOf(asked: KickAsked, planned: PlannedLine, ended: KickEnd): Promise<KickTold> {
  return shared().told(asked, planned, ended);
}

/** Lines over paces and sides, in a thread of their own: to stop it is to end the thread. */
export function kickFamiliesOf(
  asked: KickAsked,
  onShare: (share: number) => void,
  onFirst: (line: RatedLine) => void = () => undefined,
): Running<readonly KickFamily[]> {
  return oneRun<KickSolver, readonly KickFamily[]>(start(), (solver) =>
    solver.families(asked, proxy(onShare), proxy(onFirst)),
  );
}
