import { setTimeout } from 'node:timers/promises';
import { pixelOf, signIn } from '../e2e/lib/actions.ts';
import { openBrowser } from '../e2e/lib/browser.ts';
import { CHROMIUM, ensureInstalled } from '../scripts/lib/debian.ts';
import { withDemoServer } from '../scripts/lib/demoServer.ts';
import { quantile, type Figure } from './report.ts';

const MOVES = 150;
/** A hand's moves come about as often as a screen is drawn. */
const MOVE_MS = 16;
/** The page has loaded, compiled and answered its first question. */
const SETTLE_MS = 6_000;

/** Where the bench's first position has the cue ball, metres. */
const CUE_BALL = { x: 0.3 * 2.54, y: 0.4 * 1.27 };

/** What the page notes of itself. */
interface Watch {
  readonly frames: readonly number[];
  readonly tasks: readonly number[];
}

/** Begins to note frames and long tasks of a page. It runs in the page and gives what takes the notes off. */
function watch(): () => Watch {
  const frames: number[] = [];
  const tasks: number[] = [];
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) tasks.push(entry.duration);
  }).observe({ type: 'longtask' });
  let last = performance.now();
  const frame = (now: number) => {
    frames.push(now - last);
    last = now;
    requestAnimationFrame(frame);
  };
  requestAnimationFrame(frame);
  return () => ({ frames, tasks });
}

/**
 * A ball is dragged across the lab's position bench in a real browser, natural path, window and cloud following it:
 * from one drawing of the page to the next, and its longest task (the browser tells of those over 50 ms).
 */
export async function drag(): Promise<readonly Figure[]> {
  await ensureInstalled(CHROMIUM);
  return withDemoServer({ JOLLY_BENCHMARKS: '0' }, async ({ url }) => {
    const browser = await openBrowser({ baseURL: url });
    try {
      const page = await browser.context.newPage();
      await signIn(page);
      await page.goto('/lab/position');
      await page.getByTestId('summary').waitFor();
      await setTimeout(SETTLE_MS);
      const { x, y } = await pixelOf(page, CUE_BALL);
      await page.mouse.move(x, y);
      await page.mouse.down();
      const notes = await page.evaluateHandle(watch);
      const moves: Promise<void>[] = [];
      for (let k = 1; k <= MOVES; k++) {
        // Not waited for before the next: a hand does not wait for the page either.
        moves.push(page.mouse.move(x + 0.7 * k, y + 30 * Math.sin(k / 9)));
        await setTimeout(MOVE_MS);
      }
      await Promise.all(moves);
      const { frames, tasks } = await page.evaluate((take) => take(), notes);
      await page.mouse.up();
      return [
        { name: 'web.drag.frame.p95', value: quantile(frames, 0.95), unit: 'ms', wanted: 'under 50' },
        { name: 'web.drag.frame.longest', value: Math.max(...frames), unit: 'ms' },
        { name: 'web.drag.tasks', value: tasks.length, unit: 'tasks over 50 ms' },
      ];
    } finally {
      await browser.close();
    }
  });
}
