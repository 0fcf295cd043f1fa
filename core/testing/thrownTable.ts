import { distance, type Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { createRandom } from '../random/random.ts';
import type { Table } from '../table/table.ts';
import { ball, cueBall, POOL } from './balls.ts';

/** Centres are at least so far from each other and from the cushions, metres. */
const APART = 0.08;
const FROM_CUSHION = 0.05;

/** Balls "1", "2", … and the cue ball thrown on the table, by a seed. */
export function thrownTable(
  n: number,
  seed: number,
  table: Table = POOL,
): { readonly cue: BallOnTable; readonly balls: readonly BallOnTable[] } {
  const random = createRandom(seed);
  const along = (whole: number) => FROM_CUSHION + (whole - 2 * FROM_CUSHION) * random.uniform();
  const places: Point[] = [];
  while (places.length <= n) {
    const place = { x: along(table.length), y: along(table.width) };
    if (places.every((each) => distance(each, place) > APART)) places.push(place);
  }
  const [first, ...others] = places;
  return {
    cue: cueBall(first?.x ?? 0, first?.y ?? 0, table),
    balls: others.map(({ x, y }, i) => ball(String(i + 1), x, y, table)),
  };
}
