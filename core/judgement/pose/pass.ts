import { distance } from '../../math/point.ts';
import { contactDistance } from '../../motion/ballBall.ts';
import { positionAt } from '../../motion/path.ts';
import type { BallOnTable } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { foreseePass, type Verdict } from '../../planning/foresee.ts';
import { executionErrorOf } from '../../player/levels.ts';
import { passingGap } from '../../shot/passing.ts';
import type { Difficulty } from '../kinds.ts';
import type { CallQuestion } from '../question.ts';
import { EXECUTIONS, fits, MARGINS, SEED, type Poser } from './poser.ts';
import { ballAt, BALLS, randomPot, type Posed } from './randomPot.ts';

/** A pot, and a ball beside the cue ball's way after it. */
export const posePass: Poser = (table, random, { difficulty, wanted }) => {
  const posed = randomPot(table, random);
  if (posed === undefined) return undefined;
  const { shot } = posed;
  const { paths, events, duration } = simulate(shot, { paths: true });
  const hit = events.find(({ kind }) => kind === 'ball-ball')?.t;
  const path = paths?.find(({ id }) => id === shot.strike.ball);
  if (hit === undefined || path === undefined) return undefined;
  const at = positionAt(path, hit + (0.25 + 0.5 * random.uniform()) * (duration - hit));
  const [least, most] = MARGINS[difficulty];
  const { ballRadius } = table.preset;
  const off = least + random.uniform() * (most - least);
  const turn = 2 * Math.PI * random.uniform();
  const away = 2 * ballRadius + (wanted === 'yes' ? off : -Math.min(0.5 * off, 1.8 * ballRadius));
  const obstacle = ballAt(table, BALLS[table.preset.game][1], {
    x: at.x + away * Math.cos(turn),
    y: at.y + away * Math.sin(turn),
  });
  const edge = 1.2 * table.preset.ballRadius;
  if (
    obstacle.x < edge ||
    obstacle.x > table.length - edge ||
    obstacle.y < edge ||
    obstacle.y > table.width - edge
  ) {
    return undefined;
  }
  const clear = shot.balls.every(
    (ball) => distance(ball, obstacle) > contactDistance(ball.radius, obstacle.radius) + 0.02,
  );
  const question = clear ? passOf(posed, obstacle, difficulty) : undefined;
  return question === undefined || difficulty === 'hair-fine' || question.truth === wanted
    ? question
    : undefined;
};

/** Asks of a stroke whether the cue ball passes a ball. @param difficulty undefined takes it as it is */
export function passOf(
  posed: Posed,
  obstacle: BallOnTable,
  difficulty: Difficulty | undefined,
): CallQuestion | undefined {
  const { table } = posed.shot;
  const others = posed.shot.balls.filter(({ id }) => id !== obstacle.id);
  const shot = { ...posed.shot, balls: [...others, obstacle] };
  const gap = passingGap(shot, obstacle);
  if (gap === undefined) return undefined;
  // The pot must not need the ball to be gone.
  const potted = simulate(shot, { events: false }).rest.some(
    ({ id, pocket }) => id === posed.pot && pocket === posed.pocket,
  );
  if (!potted) return undefined;
  const seen = foreseePass(shot, obstacle, executionErrorOf('team', table.preset.game), EXECUTIONS, SEED);
  if (difficulty !== undefined && difficulty !== 'hair-fine' && seen.verdict === 'too close')
    return undefined;
  const verdict: Verdict =
    difficulty === 'hair-fine' || difficulty === undefined ? seen.verdict : gap >= 0 ? 'yes' : 'no';
  // A ball that is hit can be hit by a ball's width at most.
  if (difficulty !== undefined && !fits(verdict, gap < 0 ? -2 * gap : gap, difficulty)) return undefined;
  return {
    kind: 'does it pass',
    ...posed,
    shot,
    obstacle,
    truth: verdict,
    marginMm: 1000 * gap,
    share: seen.share.share,
  };
}
