import { distance } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { leftOnTable } from '../planning/aftermath.ts';
import { potLines } from '../planning/potOptions.ts';
import { cueBallAt } from '../planning/windowAmong.ts';
import { executed } from '../player/execute.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import type { Drill } from '../records/drill.ts';
import { CUE_BALL } from '../drill/layout.ts';
import { legalBalls } from '../drill/legalBalls.ts';
import { beginAttempt, clearanceRules, playShot, type Attempt } from '../drill/rules.ts';
import type { PocketName } from '../table/pockets.ts';
import { brokenConditions, choosePot } from './choosePot.ts';
import { placeInHand } from './cueBallPlace.ts';
import type { VirtualPlayer } from './player.ts';

/** No attempt goes on for ever where faults are only noted. */
const MOST_SHOTS = 120;

/** One attempt at a clearance, shot by shot, and what it left. */
export interface PlayedAttempt {
  readonly attempt: Attempt;
  /** Where balls lay when it ended. */
  readonly left: readonly BallOnTable[];
}

/**
 * Plays an attempt at a clearance through the rules engine.
 * @param drill as it is played at the stage; @param objects the object balls as they are set
 * @param cue the cue ball where it starts, undefined when it is in hand
 * @throws RangeError for a drill that asks for no clearance
 */
export function playClearance(
  player: VirtualPlayer,
  drill: Drill,
  objects: readonly BallOnTable[],
  cue: BallOnTable | undefined,
): PlayedAttempt {
  const rules = clearanceRules(drill);
  let attempt = beginAttempt(
    rules,
    objects.map(({ id }) => id),
  );
  let left: readonly BallOnTable[] = objects;
  let cueBall = cue;
  let lastPocket: PocketName | undefined;
  while (attempt.over === undefined && attempt.shots < MOST_SHOTS) {
    const { legal } = attempt;
    const lines = potLines(player.table, left, legal, acceptanceNear);
    const struck = cueBall ?? placeInHand(player, inHand(drill, attempt), left, lines);
    const balls = [struck, ...left];
    const chosen = choosePot(player, {
      balls,
      cue: struck,
      legal,
      legalAfter: (potted) => {
        const onTable = attempt.onTable.filter((id) => id !== potted);
        return onTable.length === 0
          ? []
          : legalBalls(rules.order, { onTable, last: potted, suit: attempt.suit });
      },
      conditions: drill.conditions,
      lastPocket,
    });
    if (chosen === undefined) {
      attempt = playShot(rules, attempt, { potted: [], inOff: false, broken: [] });
      cueBall = attempt.cueBall === 'in hand' ? undefined : struck;
      continue;
    }
    const shot = executed(chosen.shot, player.error, player.random);
    const result = simulate(shot);
    const gone = result.rest.filter((ball) => ball.pocket !== null || ball.offTable).map(({ id }) => id);
    const meant = { cue: CUE_BALL, object: chosen.ball, pocket: chosen.pocket, lastPocket };
    attempt = playShot(rules, attempt, {
      potted: gone.filter((id) => id !== CUE_BALL),
      inOff: gone.includes(CUE_BALL),
      broken: brokenConditions(drill.conditions, result, meant),
    });
    lastPocket = result.rest.find(({ id }) => id === chosen.ball)?.pocket ?? lastPocket;
    const after = leftOnTable(balls, result.rest);
    const stopped = after.find(({ id }) => id === CUE_BALL);
    left = respotted(
      after.filter(({ id }) => id !== CUE_BALL),
      objects,
      attempt.respot,
      stopped,
    );
    cueBall =
      attempt.cueBall === 'in hand' || stopped === undefined
        ? undefined
        : attempt.cueBall === 'where it was planned'
          ? struck
          : stopped;
  }
  return { attempt, left: cueBall === undefined ? left : [cueBall, ...left] };
}

/** After a repair the cue ball is in hand everywhere; at the start as the drill says. */
function inHand(drill: Drill, attempt: Attempt): Drill['cueBall'] {
  return attempt.shots === 0 || drill.cueBall.start === 'in hand behind the line'
    ? drill.cueBall
    : { start: 'in hand', area: null };
}

/** Balls put back where they stood at first, or as near as they find room towards the foot end. */
function respotted(
  left: readonly BallOnTable[],
  objects: readonly BallOnTable[],
  back: readonly string[],
  cue: BallOnTable | undefined,
): readonly BallOnTable[] {
  const balls = [...left];
  for (const id of back) {
    const home = objects.find((ball) => ball.id === id);
    if (home === undefined) continue;
    let x = home.x;
    const taken = () =>
      [...balls, ...(cue === undefined ? [] : [cue])].some(
        (ball) => distance(ball, { x, y: home.y }) < contactDistance(ball.radius, home.radius),
      );
    while (taken() && x < home.x + 0.5) x += 0.005;
    balls.push({ ...home, x });
  }
  return balls;
}

/** A cue ball in a drill's layout, if it places one. */
export function placedCueBall(player: VirtualPlayer, balls: readonly BallOnTable[]): BallOnTable | undefined {
  const cue = balls.find(({ id }) => id === CUE_BALL);
  return cue && cueBallAt(player.table, cue, CUE_BALL);
}
