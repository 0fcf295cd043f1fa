import type { BallOnTable, Shot, ShotResult } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { executed } from '../player/execute.ts';
import type { ExecutionError } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { inOffMargin, type InOffMargin } from '../shot/inOff.ts';
import { cueBallGone } from '../shot/outcome.ts';
import { passingGap } from '../shot/passing.ts';
import { wilson, type ShareInterval } from '../statistics/wilson.ts';

/** Never a bare yes: where the player's own scatter straddles the border the answer is that it is too close. */
export type Verdict = 'yes' | 'no' | 'too close';

/** What is expected of a stroke. */
export interface Foresight {
  readonly verdict: Verdict;
  /** Share of executions in which it happens. */
  readonly share: ShareInterval;
  /** Millimetres from the border, of the stroke as planned; undefined where the stroke has nothing to do with it. */
  readonly marginMm: number | undefined;
}

/** From this share of executions on it is yes, up to the other it is no. */
const SURE = 0.9;
const SURELY_NOT = 0.1;

export function verdictOf(share: number): Verdict {
  return share >= SURE ? 'yes' : share <= SURELY_NOT ? 'no' : 'too close';
}

function shareOf(
  shot: Shot,
  error: ExecutionError,
  count: number,
  seed: number,
  happens: (result: ShotResult) => boolean,
): ShareInterval {
  const random = createRandom(seed);
  let times = 0;
  for (let i = 0; i < count; i++) {
    if (happens(simulate(executed(shot, error, random)))) times++;
  }
  return wilson(times, count);
}

/** Whether the cue ball falls, or leaves the table: verdict from many executions, margin from the planned one. */
export function foreseeInOff(
  shot: Shot,
  error: ExecutionError,
  count: number,
  seed: number,
): Foresight & { readonly pocket: InOffMargin['pocket'] | undefined } {
  const margin = inOffMargin(shot);
  const share = shareOf(
    shot,
    error,
    count,
    seed,
    ({ rest }) => cueBallGone(rest, shot.strike.ball) !== undefined,
  );
  return {
    verdict: verdictOf(share.share),
    share,
    marginMm: margin && 1000 * margin.metres,
    pocket: margin?.pocket,
  };
}

/** Whether the cue ball, after its first hit, passes a ball without touching it and stays on the table. */
export function foreseePass(
  shot: Shot,
  obstacle: BallOnTable,
  error: ExecutionError,
  count: number,
  seed: number,
): Foresight {
  const gap = passingGap(shot, obstacle);
  const share = shareOf(
    shot,
    error,
    count,
    seed,
    ({ events, rest }) =>
      cueBallGone(rest, shot.strike.ball) !== 'lost' &&
      !events.some(
        (event) =>
          event.kind === 'ball-ball' &&
          event.ids.includes(shot.strike.ball) &&
          event.ids.includes(obstacle.id),
      ),
  );
  return { verdict: verdictOf(share.share), share, marginMm: gap === undefined ? undefined : 1000 * gap };
}
