import { monitorEventLoopDelay, type IntervalHistogram } from 'node:perf_hooks';

/** What a server says of itself to whoever started it. */
export interface Measured {
  /** 99th percentile of how late its turns came since it was asked last, ms. */
  readonly delayP99: number;
  readonly residentMB: number;
}

const RESOLUTION_MS = 10;

/** Answers the parent's word "measure"; measures nothing until it is asked for the first time. */
export function answerMeasures(): void {
  let delays: IntervalHistogram | undefined;
  process.on('message', (word) => {
    if (word !== 'measure') return;
    // The sampling itself takes its resolution.
    const late = delays === undefined ? 0 : Math.max(0, delays.percentile(99) / 1e6 - RESOLUTION_MS);
    const measured: Measured = { delayP99: late, residentMB: process.memoryUsage().rss / 1e6 };
    if (delays === undefined) {
      delays = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
      delays.enable();
    } else delays.reset();
    process.send?.(measured);
  });
}
