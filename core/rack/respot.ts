import { distance, type Point } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { spotsOf, type SpotName } from '../table/markings.ts';
import type { TablePreset } from '../table/preset.ts';

/** The spots of the colours, the most valuable first. */
const COLOURS: readonly SpotName[] = ['black', 'pink', 'blue', 'brown', 'green', 'yellow'];

/** A ball that is put down does not touch another, metres. */
const CLEAR = 1e-5;
/** Places behind a taken one are looked at so far apart, metres. */
const STEP = 0.001;

/**
 * Where a ball comes back that was potted and belongs on the table: its own place; a colour whose spot is taken, on the
 * most valuable one that is free; where none is, as near as it finds room behind its own place, towards the foot end, and
 * before it where there is no room behind.
 * @param ball on its own place, metres @param others all balls on the table, the cue ball among them
 * @returns the place, metres; its own where the whole line is taken
 */
export function respotPlace(preset: TablePreset, ball: BallOnTable, others: readonly BallOnTable[]): Point {
  const own = { x: ball.x, y: ball.y };
  const isFree = (at: Point) =>
    others.every((other) => distance(other, at) > contactDistance(other.radius, ball.radius) + CLEAR);
  if (isFree(own)) return own;
  if (COLOURS.some((name) => name === ball.id)) {
    const spots = spotsOf(preset);
    for (const name of COLOURS) {
      const spot = spots.find((each) => each.name === name);
      if (spot !== undefined && isFree(spot.at)) return spot.at;
    }
  }
  const line = (towards: 1 | -1) => {
    for (let away = STEP; ; away += STEP) {
      const at = { x: own.x + towards * away, y: own.y };
      if (at.x < ball.radius || at.x > preset.length - ball.radius) return undefined;
      if (isFree(at)) return at;
    }
  };
  return line(1) ?? line(-1) ?? own;
}
