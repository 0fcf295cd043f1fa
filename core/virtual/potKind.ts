import { distance } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { cutTo } from '../shot/cut.ts';
import { buildPockets, type PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';

/** What makes a pot hard, the first that holds. */
export const POT_KINDS = ['thin', 'long', 'straight', 'cut'] as const;
export type PotKind = (typeof POT_KINDS)[number];

/** From here on a cut is thin, and below it is straight, degrees. */
const THIN_DEG = 50;
const STRAIGHT_DEG = 12;
/** A pot over more than this share of the table's length, both balls' ways together, is long. */
const LONG = 0.75;

/** What kind of pot a ball is from where the cue ball lies. @param pocket where it goes */
export function potKindOf(
  { preset }: Table,
  cue: BallOnTable,
  object: BallOnTable,
  pocket: PocketName,
): PotKind {
  const mouth = buildPockets(preset).find(({ name }) => name === pocket)?.mouth;
  if (mouth === undefined) throw new RangeError(`potKindOf: the table has no pocket ${pocket}`);
  const degrees = Math.abs(cutTo(cue, object, mouth, cue.radius, object.radius).degrees);
  if (degrees > THIN_DEG) return 'thin';
  if (distance(cue, object) + distance(object, mouth) > LONG * preset.length) return 'long';
  return degrees < STRAIGHT_DEG ? 'straight' : 'cut';
}
