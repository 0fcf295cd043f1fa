import { wrap, type Remote } from 'comlink';
import type { PhotoSolver } from './photoProtocol.ts';

let remote: Remote<PhotoSolver> | undefined;

/** The worker for pictures of tables; one for the page, started when first needed. */
export function photoSolver(): Remote<PhotoSolver> {
  remote ??= wrap<PhotoSolver>(new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}
