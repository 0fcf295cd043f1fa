import { toRadians } from '../math/angle.ts';
import { bearing, distance } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import type { Shot, Strike } from '../motion/shot.ts';
import { seenOf } from '../shot/kicks/seen.ts';
import type { Candidate } from './candidates.ts';
import type { Situation } from './situation.ts';
import { worthOfEnd } from './turnEnd.ts';
import type { TurnJudge } from './turnJudge.ts';

/** Butts of a jump, and its paces, m/s. A jump over a ball is a foul at snooker. */
const JUMPS = { butts: [30, 40, 50].map(toRadians), speeds: [2.4, 3.2, 4.2] } as const;
/** From this butt on a stroke without side is meant to leave the cloth, radians. */
export const JUMPING = toRadians(30);
/** Butt, side, ball radii, and paces of a swerve, and of one as steep as a massé. */
const SWERVES = [
  { butt: toRadians(18), side: 0.45, speeds: [1.6, 2.4, 3.2] },
  { butt: toRadians(35), side: 0.45, speeds: [2, 3] },
  { butt: toRadians(55), side: 0.42, speeds: [1.8, 2.6] },
] as const;
/** How far beside the ball a swerve starts at most, radians, in steps of that. */
const WIDEST = toRadians(24);
const STEP = toRadians(0.5);

type Part = Pick<Strike, 'direction' | 'speed' | 'tip' | 'elevation'>;

/** Strokes of a raised butt towards a ball: over what lies before it, and round it on either side. */
function* strokesTo(towards: number, half: number, mayJump: boolean): Generator<Part> {
  if (mayJump) {
    for (const elevation of JUMPS.butts) {
      for (const speed of JUMPS.speeds) {
        // Through the ball's middle and on either half of it.
        for (const off of [-half / 2, 0, half / 2]) {
          yield { direction: towards + off, speed, tip: { side: 0, height: 0 }, elevation };
        }
      }
    }
  }
  for (const { butt, side, speeds } of SWERVES) {
    for (const sign of [-1, 1]) {
      for (const speed of speeds) {
        // What is struck on its right curves to the right: it starts to the left of the ball.
        for (let off = 0; off <= WIDEST; off += STEP) {
          const tip = { side: sign * side, height: 0 };
          yield { direction: towards + sign * off, speed, tip, elevation: butt };
        }
      }
    }
  }
}

/**
 * Jumps and swerves to balls that may be played and that others hide, as far as they are no foul as planned.
 * @throws RangeError without the cue ball
 */
export function raisedStrokes(
  { table, balls, cue: cueId, on, game }: Situation,
  judge: TurnJudge,
): readonly Candidate[] {
  const cue = balls.find(({ id }) => id === cueId);
  if (cue === undefined) throw new RangeError(`raisedStrokes: there is no ball ${cueId}`);
  const found: Candidate[] = [];
  for (const id of on) {
    const ball = balls.find((each) => each.id === id);
    if (ball === undefined || seenOf({ table, balls, cue: cueId }, id).usable === 1) continue;
    const half = Math.asin(Math.min(1, contactDistance(cue.radius, ball.radius) / distance(cue, ball)));
    for (const part of strokesTo(bearing(cue, ball), half, game !== 'snooker')) {
      const shot: Shot = { table, balls, strike: { ball: cueId, ...part } };
      const planned = judge.endUnlessFoul(shot);
      // One that comes off a cushion is looked for elsewhere.
      if (planned?.hit.before.length === 0) found.push({ shot, planned, worth: worthOfEnd(planned, 0) });
    }
  }
  return found;
}
