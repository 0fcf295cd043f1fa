import { toRadians } from '../../math/angle.ts';
import { bearing, distance } from '../../math/point.ts';
import { placeFrom } from '../../motion/marks.ts';
import type { BallOnTable } from '../../motion/shot.ts';
import { cueBallAt } from '../../planning/windowAmong.ts';
import { cueingOf } from '../../player/cueing.ts';
import type { Random } from '../../random/random.ts';
import { middleOf } from '../../shot/directions.ts';
import { seenOf } from '../../shot/kicks/seen.ts';
import { stretchesOf } from '../../shot/kicks/stretches.ts';
import { kickShot, type KickPosition, type KickStroke } from '../../shot/kicks/way.ts';
import type { Table } from '../../table/table.ts';
import { chanceToMeet } from '../kickQuestion.ts';
import { ballAt, somewhere } from './randomPot.ts';

/** The ball that is on and those that may hide it, by game. */
export const HIDDEN_BALLS = { pool: ['1', '2', '3'], snooker: ['red', 'blue', 'green'] } as const;
/** The stroke that is asked about: plain ball, medium pace. */
export const KICK_STROKE: KickStroke = { speed: 2.3, tip: { side: 0, height: 0 }, elevation: 0 };

const FROM_CUSHION = 0.1;
/** The hidden ball is at least so far away, metres. */
const FAR = 0.5;
/** Between the cue ball and the ball that hides it, metres. */
const GAP = [0.01, 0.06] as const;
/** So far the ball that hides stands off the straight line, radians. */
const OFF_LINE = toRadians(6);
const MOST_CUSHIONS = 3;
/** So many stretches, the widest, are tried; narrower ones nobody plays, radians. */
const TRIED = 5;
const NARROW = toRadians(0.3);

/** A ball that cannot be hit straight, behind another one that stands near the cue ball; undefined where it can. */
export function hiddenBall(
  table: Table,
  random: Random,
): { readonly position: KickPosition; readonly target: string } | undefined {
  const [target, near, far] = HIDDEN_BALLS[table.preset.game];
  const cue = cueBallAt(table, somewhere(table, random, FROM_CUSHION));
  const ball = ballAt(table, target, somewhere(table, random, FROM_CUSHION));
  if (distance(cue, ball) < FAR) return undefined;
  const gap = cue.radius + ball.radius + GAP[0] + (GAP[1] - GAP[0]) * random.uniform();
  const towards = bearing(cue, ball) + OFF_LINE * (2 * random.uniform() - 1);
  const hiding = ballAt(table, near, placeFrom(cue, towards, gap));
  const other = ballAt(table, far, somewhere(table, random, FROM_CUSHION));
  const balls: readonly BallOnTable[] = [cue, ball, hiding, other];
  const isOnCloth = ({ x, y, radius }: BallOnTable) =>
    x > radius && y > radius && x < table.length - radius && y < table.width - radius;
  const isApart = balls.every((each, i) =>
    balls.slice(i + 1).every((next) => distance(each, next) > each.radius + next.radius),
  );
  if (!isApart || !balls.every(isOnCloth)) return undefined;
  const position: KickPosition = { table, balls, cue: cue.id };
  return seenOf(position, target).usable > 0 ? undefined : { position, target };
}

/** A way to a hidden ball, and how often a team player meets it so. */
export interface TriedLine {
  readonly direction: number;
  readonly cushions: readonly string[];
  readonly chance: number;
}

/** The widest lines of the stroke to a ball that can be cued freely, as the stroke is told; the likeliest first. */
export function linesTo(position: KickPosition, target: string): readonly TriedLine[] {
  const stretches = stretchesOf(position, KICK_STROKE, MOST_CUSHIONS, ({ first }) => first === target);
  const [cue, ...others] = position.balls;
  if (cue === undefined) return [];
  const isFree = (direction: number) => cueingOf(position.table, cue, others, direction).because.length === 0;
  return stretches
    .filter((each) => each.high - each.low >= NARROW && isFree(middleOf(each)))
    .sort((a, b) => b.high - b.low - (a.high - a.low))
    .slice(0, TRIED)
    .map((stretch) => {
      const direction = middleOf(stretch);
      const shot = kickShot(position, KICK_STROKE, direction);
      return { direction, cushions: stretch.way.cushions, chance: chanceToMeet(shot, target, direction) };
    })
    .sort((a, b) => b.chance - a.chance);
}
