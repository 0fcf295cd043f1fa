import { distance, type Point } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { cueBallAt } from '../planning/windowAmong.ts';
import { potOptions, type PotLine } from '../planning/potOptions.ts';
import { cutTo } from '../shot/cut.ts';
import type { Drill } from '../records/drill.ts';
import { clothLinesOf } from '../table/markings.ts';
import { pocketNamed } from '../table/table.ts';
import type { VirtualPlayer } from './player.ts';

/** Places that are considered when the cue ball may be placed. */
const PLACES = 40;
/** A cut that leaves the cue ball a choice of ways, degrees; straighter and thinner ones count less. */
const LIKED_CUT = 22;

/** A place that the cue ball may take by the drill's text, at random, metres. */
function placeIn({ table, random }: VirtualPlayer, cueBall: Drill['cueBall']): Point {
  const { length, width, preset } = table;
  const radius = preset.cueBallRadius;
  const between = (low: number, high: number) => low + random.uniform() * Math.max(0, high - low);
  if (cueBall.start === 'in the area' && cueBall.area !== null) {
    const { from, to } = cueBall.area;
    return {
      x: between(Math.max(radius, from.along * length), Math.min(length - radius, to.along * length)),
      y: between(Math.max(radius, from.across * width), Math.min(width - radius, to.across * width)),
    };
  }
  if (cueBall.start === 'in hand behind the line') {
    const { acrossAt, dRadius } = clothLinesOf(preset);
    if (dRadius === undefined) return { x: between(radius, acrossAt), y: between(radius, width - radius) };
    const y = between(-0.95, 0.95) * dRadius;
    return { x: acrossAt - between(0, 0.95) * Math.sqrt(dRadius * dRadius - y * y), y: width / 2 + y };
  }
  return { x: between(radius, length - radius), y: between(radius, width - radius) };
}

function isFree(player: VirtualPlayer, place: Point, balls: readonly BallOnTable[]): boolean {
  const radius = player.table.preset.cueBallRadius;
  return balls.every((ball) => distance(ball, place) > contactDistance(radius, ball.radius) + 1e-4);
}

/**
 * Where a virtual player puts a cue ball in hand: of some places the one from which a ball is likeliest to be potted,
 * preferring a cut that leaves the cue ball its ways.
 * @param objects the object balls; @param lines the pots that are looked for
 */
export function placeInHand(
  player: VirtualPlayer,
  cueBall: Drill['cueBall'],
  objects: readonly BallOnTable[],
  lines: readonly PotLine[],
): BallOnTable {
  const { table, error } = player;
  let best: { place: BallOnTable; worth: number } | undefined;
  for (let k = 0; k < PLACES || best === undefined; k++) {
    if (k > 40 * PLACES) throw new RangeError('placeInHand: the cue ball finds no free place');
    const place = placeIn(player, cueBall);
    if (!isFree(player, place, objects)) continue;
    const cue = cueBallAt(table, place);
    const option = potOptions(table, cue, lines, objects, error)[0];
    const worth = option === undefined ? 0 : option.chance * likedCut(player, cue, option.line);
    if (best === undefined || worth > best.worth) best = { place: cue, worth };
  }
  return best.place;
}

function likedCut({ table }: VirtualPlayer, cue: BallOnTable, { object, pocket }: PotLine): number {
  const { mouth } = pocketNamed(table, pocket);
  const degrees = Math.abs(cutTo(cue, object, mouth, cue.radius, object.radius).degrees);
  return 1 - 0.3 * Math.min(1, Math.abs(degrees - LIKED_CUT) / 45);
}
