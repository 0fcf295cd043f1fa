import { parentPort } from 'node:worker_threads';
import { harbourCloud } from './cloud.ts';

/** Computes one cloud in a thread that has computed nothing yet, and says how long it took, milliseconds. */
const run = harbourCloud();
const start = performance.now();
run();
parentPort?.postMessage(performance.now() - start);
