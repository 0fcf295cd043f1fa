import { wrap, type Remote } from 'comlink';
import type { ThumbSolver } from './thumbProtocol.ts';

let remote: Remote<ThumbSolver> | undefined;

/** The worker for rules of thumb; one for the page, started when first needed. */
export function thumbSolver(): Remote<ThumbSolver> {
  remote ??= wrap<ThumbSolver>(new Worker(new URL('./thumb.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}
