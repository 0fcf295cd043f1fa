import { toRadians } from '../math/angle.ts';
import { distance, type Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { bestPotChance, roughPotChance } from '../planning/bestPot.ts';
import { potLines } from '../planning/potOptions.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { Game } from '../rules/foulCost.ts';
import { acceptanceAbout } from '../shot/acceptanceNear.ts';
import { clothLinesOf } from '../table/markings.ts';
import type { Table } from '../table/table.ts';

/** In hand the cue ball is put so far from the ball, metres, for a straight pot or one at such a cut, radians. */
const BEHIND = [0.25, 0.45];
const CUTS = [-40, -20, 0, 20, 40].map(toRadians);
/** Within a D it is looked at in so many places along the line. */
const ALONG_D = 7;

/** Where a cue ball in hand is tried: behind the pots, or along the line of the D where it has to lie there. */
function placesInHand(
  table: Table,
  game: Game,
  objects: readonly BallOnTable[],
  wanted: readonly string[],
): readonly Point[] {
  const { acrossAt, dRadius } = clothLinesOf(table.preset);
  if (dRadius !== undefined && game !== 'nine-ball' && game !== 'eight-ball') {
    return Array.from({ length: ALONG_D }, (_, k) => ({
      x: acrossAt,
      y: table.width / 2 + dRadius * ((2 * k) / (ALONG_D - 1) - 1),
    }));
  }
  return potLines(table, objects, wanted, acceptanceAbout).flatMap(({ object, acceptance: { middle } }) =>
    BEHIND.flatMap((behind) =>
      CUTS.map((cut) => ({
        x: object.x - behind * Math.cos(middle + cut),
        y: object.y - behind * Math.sin(middle + cut),
      })),
    ),
  );
}

/**
 * The chance of the best pot with the cue ball in hand, 0…1, by the places that are likely to be best.
 * @param cue its size and mass count @param objects all object balls as they lie @param wanted ids of those that may be potted
 * @param error the player's: standard deviations of line (degrees), pace (share), tip (ball radii) and butt (degrees)
 * @param isRough by plain geometry alone
 */
export function bestInHand(
  table: Table,
  game: Game,
  cue: BallOnTable,
  objects: readonly BallOnTable[],
  wanted: readonly string[],
  error: ExecutionError,
  isRough: boolean,
): number {
  const { radius } = cue;
  const isInside = ({ x, y }: Point) =>
    x > radius && y > radius && x < table.length - radius && y < table.width - radius;
  const isFree = (at: Point) => objects.every((ball) => distance(ball, at) > ball.radius + radius);
  const places = placesInHand(table, game, objects, wanted)
    .filter((at) => isInside(at) && isFree(at))
    .map((at) => ({ ...cue, ...at }))
    .map((at) => ({ at, rough: roughPotChance(table, at, objects, wanted, error, acceptanceAbout) }))
    .sort((a, b) => b.rough - a.rough);
  // The best by plain geometry is the best, or as good: it alone is looked at closely.
  const first = places[0];
  if (first === undefined || first.rough === 0) return 0;
  return isRough
    ? first.rough
    : bestPotChance(table, first.at, objects, wanted, error, { source: acceptanceAbout });
}
