import { proxy, wrap, type Remote } from 'comlink';
import type { KickFamily } from '../../core/shot/kicks/kickFamilies.ts';
import type { KickStroke } from '../../core/shot/kicks/way.ts';
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
): { readonly answer: Promise<readonly KickFamily[]>; readonly stop: () => void } {
  const worker = start();
  const answer = new Promise<readonly KickFamily[]>((resolve, reject) => {
    worker.addEventListener('error', (event) => reject(new Error(event.message)));
    wrap<KickSolver>(worker).families(asked, proxy(onShare)).then(resolve, reject);
  }).finally(() => worker.terminate());
  return { answer, stop: () => worker.terminate() };
}
