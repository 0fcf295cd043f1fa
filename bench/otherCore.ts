import path from 'node:path';
import { Worker } from 'node:worker_threads';
import type { ShotTable } from '../core/planning/order/shotTable.ts';
import type { OrderAsked } from './orderQuestion.ts';

/** A second thread, which works out half of a question's shots. */
export interface OtherCore {
  share(asked: OrderAsked): Promise<ShotTable>;
}

/** Lends a second thread, and ends it. */
export async function withOtherCore<T>(work: (other: OtherCore) => Promise<T>): Promise<T> {
  const worker = new Worker(path.resolve('dist', 'bench', 'orderWorker.js'));
  const share = (asked: OrderAsked) =>
    new Promise<ShotTable>((resolve, reject) => {
      worker.once('message', resolve);
      worker.once('error', reject);
      worker.postMessage(asked);
    });
  try {
    return await work({ share });
  } finally {
    await worker.terminate();
  }
}
