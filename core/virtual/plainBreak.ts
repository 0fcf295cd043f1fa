import { bearing, distance } from '../math/point.ts';
import type { BallOnTable, Shot } from '../motion/shot.ts';
import { cueBallAt } from '../planning/windowAmong.ts';
import { CUE_BALL } from '../drill/layout.ts';
import type { Drill } from '../records/drill.ts';
import { clothLinesOf } from '../table/markings.ts';
import type { VirtualPlayer } from './player.ts';

type BreakTask = Extract<Drill['task'], { kind: 'break' }>;

/** m/s: a full break on a pool table, and one off the edge of a pack that comes back. */
const FULL = 8.5;
const OFF_THE_EDGE = 3.4;
/** A break off the edge covers this share of the last ball's width. */
const EDGE_COVERED = 0.3;
/** A plain break, to open a rack that is then cleared: full, from the middle. @param racked the rack, head ball first */
export function plainBreak(
  { table }: VirtualPlayer,
  task: BreakTask,
  plan: Drill['plan'],
  racked: readonly BallOnTable[],
): Shot {
  const { acrossAt, dRadius } = clothLinesOf(table.preset);
  const middle = table.width / 2;
  const aside = task.hit === 'head ball' ? 0 : dRadius === undefined ? 0.3 * table.width : 0.7 * dRadius;
  const cue = cueBallAt(table, { x: acrossAt, y: middle + aside }, CUE_BALL);
  const target = targetOf(task, racked, cue);
  const direction = task.hit === 'edge of the pack' ? edgeDirection(cue, target) : bearing(cue, target);
  return {
    table,
    balls: [cue, ...racked],
    strike: {
      ball: CUE_BALL,
      speed: plan?.speed ?? (task.hit === 'edge of the pack' ? OFF_THE_EDGE : FULL),
      direction,
      tip: plan?.tip ?? { side: 0, height: 0 },
      elevation: 0,
    },
  };
}

function targetOf({ hit }: BreakTask, racked: readonly BallOnTable[], cue: BallOnTable): BallOnTable {
  const head = racked[0];
  if (head === undefined) throw new RangeError('plainBreak: the drill has no rack');
  if (hit === 'head ball') return head;
  if (hit === 'second ball') return racked[2] ?? head;
  const last = Math.max(...racked.map(({ x }) => x));
  const row = racked.filter(({ x }) => x > last - 1e-6);
  return row.reduce(
    (best, ball) => (distance(cue, ball) < distance(cue, best) ? ball : best),
    row[0] ?? head,
  );
}

/** The direction that covers the wanted share of a ball, past it on the outside of the pack. */
function edgeDirection(cue: BallOnTable, ball: BallOnTable): number {
  const beside = Math.asin(((1 - EDGE_COVERED) * (cue.radius + ball.radius)) / distance(cue, ball));
  return bearing(cue, ball) + beside;
}
