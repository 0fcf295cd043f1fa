import { ballLost, isOnTable, outcomeOfShot } from '../shot/outcome.ts';
import type { BallOnTable, Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { cueBallAt } from '../planning/windowAmong.ts';
import { acceptanceOf } from '../shot/acceptance.ts';
import { contactFor } from '../shot/cut.ts';
import { createAimer } from '../shot/aim.ts';
import type { AttemptOutcome } from '../drill/round.ts';
import { CUE_BALL } from '../drill/layout.ts';
import type { Drill } from '../records/drill.ts';
import { targetPoints } from '../scoring/targetPoints.ts';
import { mostWorth, playedBy, worthAsPlayed, type VirtualPlayer } from './player.ts';
import { brokenConditions } from './choosePot.ts';

type LandTask = Extract<Drill['task'], { kind: 'land' }>;

const SPEEDS = [0.8, 1.1, 1.5, 2, 2.6, 3.4];
const HEIGHTS = [-0.35, 0, 0.35];
/** Directions of a stroke that pots nothing are looked at in these steps, radians. */
const STEP = 0.06;
/** Executions by which the best strokes are told apart, and how many of them are looked at. */
const EXECUTIONS = 12;
const LOOKED_AT = 12;
/** Places of a cue ball that may be placed for the shot: back from the contact by these ways, at these cuts, degrees. */
const WAYS = [0.35, 0.6];
const CUTS = [-50, -35, -20, 20, 35, 50];
const ROUGH = 1e-6;

/** Points of a played stroke: what the landing earns, nothing after a miss, an in-off or a broken condition. */
export function landingPoints(shot: Shot, drill: Drill, task: LandTask): number {
  const result = simulate(shot);
  const cue = result.rest.find(({ id }) => id === shot.strike.ball);
  if (cue === undefined || !isOnTable(cue) || ballLost(result.rest)) return 0;
  if (task.pot !== null) {
    const { ball, pocket } = task.pot;
    if (outcomeOfShot(result.rest, cue.id, { object: ball, pocket }) !== 'potted') return 0;
    const meant = { cue: cue.id, object: ball, pocket, lastPocket: undefined };
    if (brokenConditions(drill.conditions, result, meant).length > 0) return 0;
  }
  const placed = shot.balls.filter(({ id }) => id !== shot.strike.ball);
  return targetPoints(cue, drill.targets, shot.table.preset, placed);
}

function* strokes(player: VirtualPlayer, task: LandTask, balls: readonly BallOnTable[]): Generator<Shot> {
  const { table } = player;
  const cue = balls.find(({ id }) => id === CUE_BALL);
  const others = balls.filter((ball) => ball !== cue);
  if (task.pot === null) {
    if (cue === undefined) return;
    for (const speed of SPEEDS) {
      for (let direction = -Math.PI; direction < Math.PI; direction += STEP) {
        yield {
          table,
          balls,
          strike: { ball: CUE_BALL, speed, direction, tip: { side: 0, height: 0 }, elevation: 0 },
        };
      }
    }
    return;
  }
  const object = others.find(({ id }) => id === task.pot?.ball);
  const acceptance = object && acceptanceOf(table, object, task.pot.pocket);
  if (object === undefined || acceptance === undefined) return;
  for (const from of cue === undefined ? placesFor(player, object, acceptance.middle) : [cue]) {
    const aimer = createAimer(table, from, object);
    for (const height of HEIGHTS) {
      for (const speed of SPEEDS) {
        const stroke = { ball: CUE_BALL, speed, tip: { side: 0, height }, elevation: 0 };
        const shot = aimer.shot([from, ...others], stroke, acceptance.middle, ROUGH);
        if (shot !== undefined) yield shot;
      }
    }
  }
}

/** Where a cue ball that is placed for the shot can stand to pot a ball at a choice of cuts. */
function placesFor({ table }: VirtualPlayer, object: BallOnTable, towards: number): readonly BallOnTable[] {
  const { cueBallRadius: radius } = table.preset;
  const contact = contactFor(object, towards, radius, object.radius);
  return CUTS.flatMap((cut) =>
    WAYS.map((way) => {
      const back = towards + Math.PI - (cut * Math.PI) / 180;
      return cueBallAt(
        table,
        { x: contact.x + way * Math.cos(back), y: contact.y + way * Math.sin(back) },
        CUE_BALL,
      );
    }),
  ).filter(({ x, y }) => x > radius && x < table.length - radius && y > radius && y < table.width - radius);
}

/** The stroke that promises most points: the best of a grid of plain strokes, told apart by a few executions. */
export function planLanding(
  player: VirtualPlayer,
  drill: Drill,
  task: LandTask,
  balls: readonly BallOnTable[],
): Shot | undefined {
  const promising: { shot: Shot; points: number }[] = [];
  for (const shot of strokes(player, task, balls)) {
    const points = landingPoints(shot, drill, task);
    if (points > 0) promising.push({ shot, points });
  }
  promising.sort((a, b) => b.points - a.points);
  const every = Math.max(1, Math.floor(promising.length / LOOKED_AT));
  const some = promising.filter((_, i) => i % every === 0);
  return mostWorth(some, ({ shot }) =>
    worthAsPlayed(player, shot, EXECUTIONS, (played) => landingPoints(played, drill, task)),
  )?.shot;
}

/** Plays a planned stroke at the targets once. */
export function playLanding(
  player: VirtualPlayer,
  drill: Drill,
  task: LandTask,
  plan: Shot | undefined,
): AttemptOutcome {
  if (plan === undefined) return { done: false, points: 0 };
  const shot = playedBy(player, plan, player.random);
  const points = landingPoints(shot, drill, task);
  return { done: points > 0, points };
}
