import { wrap, type Remote } from 'comlink';
import type { OrderAdvisor } from './advisorProtocol.ts';

let advisor: Remote<OrderAdvisor> | undefined;

/** Says what a plan wants of a clearance that is being played; one question after the other. */
export function orderAdvisor(): Remote<OrderAdvisor> {
  advisor ??= wrap<OrderAdvisor>(
    new Worker(new URL('./advisor.worker.ts', import.meta.url), { type: 'module' }),
  );
  return advisor;
}
