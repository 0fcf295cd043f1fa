import { distance, type Point } from '../math/point.ts';
import type { BallOnTable, ShotResult } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { ELSEWHERE } from '../planning/order/movedBalls.ts';
import { potLines } from '../planning/potOptions.ts';
import { buttOf, cueingOf } from '../player/cueing.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import { createAimer } from '../shot/aim.ts';
import { isOnTable } from '../shot/outcome.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';

/** Strokes that are tried: paces of the cue, m/s, in even steps of their logarithm, and places of the tip, ball radii. */
const SLOWEST = 0.7;
const FASTEST = 4.6;
const PACES = 36;
const HEIGHTS = [-0.38, -0.25, -0.12, 0, 0.12, 0.25, 0.38];
const SIDES = [-0.3, -0.15, 0, 0.15, 0.3];
/** The line is solved to this, radians: finer than anybody cues. */
const LINE = 1e-4;
/** What counts as near to where the cue ball stopped (how well it is tapped, and how finely strokes are tried), metres. */
const NEAR = 0.04;
/** Strokes farther off tell nothing, metres. */
const FAR = 0.15;
/** Side is played seldom, and seldom much of it: ball radii. */
const SIDE = 0.25;
/** Less than half a stroke that fits says nothing. */
const FEWEST = 0.5;
/** A ball is named when it is likelier moved than not. */
const LIKELY = 0.5;

/** A shot that potted, as it was written down. */
export interface WrittenPot {
  /** Where the cue ball lay before it, and the object balls. */
  readonly cue: BallOnTable;
  readonly balls: readonly BallOnTable[];
  readonly ball: string;
  /** Null where nobody noted it. */
  readonly pocket: PocketName | null;
  /** Where the cue ball stopped, metres. */
  readonly landing: Point;
}

/**
 * Balls that a pot has moved by more than three centimetres, as far as its landing tells: of the strokes that make the pot,
 * each weighed by how near it leaves the cue ball to where that stopped, most move them. Where no stroke comes near, none
 * is named.
 */
export function movedByShot(table: Table, shot: WrittenPot): readonly string[] {
  const { cue, balls, ball, landing } = shot;
  const all = [cue, ...balls];
  const others = balls.filter(({ id }) => id !== ball);
  const lines = potLines(table, balls, [ball], acceptanceNear).filter(
    ({ pocket }) => (shot.pocket ?? pocket) === pocket,
  );
  const moved = new Map<string, number>();
  let whole = 0;
  for (const { object, pocket, acceptance } of lines) {
    const aimer = createAimer(table, cue, object);
    const towards = Math.atan2(object.y - cue.y, object.x - cue.x);
    const elevation = buttOf(cueingOf(table, cue, others, towards));
    for (const side of SIDES) {
      for (const height of HEIGHTS) {
        for (let k = 0; k < PACES; k++) {
          const speed = SLOWEST * (FASTEST / SLOWEST) ** (k / (PACES - 1));
          const stroke = { ball: cue.id, speed, tip: { side, height }, elevation };
          const played = aimer.shot(all, stroke, acceptance.middle, LINE);
          if (played === undefined) continue;
          const { rest } = simulate(played, { events: false });
          const at = rest.find(({ id }) => id === cue.id);
          if (rest.find(({ id }) => id === ball)?.pocket !== pocket) continue;
          if (at === undefined || !isOnTable(at)) continue;
          const off = distance(at, landing);
          if (off > FAR) continue;
          const weight = Math.exp(-0.5 * ((off / NEAR) ** 2 + (side / SIDE) ** 2));
          whole += weight;
          for (const other of others) {
            if (isElsewhere(other, rest)) moved.set(other.id, (moved.get(other.id) ?? 0) + weight);
          }
        }
      }
    }
  }
  if (whole < FEWEST) return [];
  return others.flatMap(({ id }) => ((moved.get(id) ?? 0) >= LIKELY * whole ? [id] : []));
}

function isElsewhere(ball: BallOnTable, rest: ShotResult['rest']): boolean {
  const at = rest.find(({ id }) => id === ball.id);
  return at !== undefined && isOnTable(at) && distance(at, ball) > ELSEWHERE;
}
