import { toRadians } from '../math/angle.ts';
import { normalCdf } from '../math/normal.ts';
import { bearing, distance, type Point } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { buttOf, cueingOf, hampered, type Cueing, type CueingOptions } from '../player/cueing.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { Acceptance } from '../shot/acceptance.ts';
import { contactFor } from '../shot/cut.ts';
import { isClear } from '../shot/corridor.ts';
import { CENTRE_BALL, potChance, type PotStroke } from '../shot/potChance.ts';
import { POCKET_NAMES, type PocketName } from '../table/pockets.ts';
import { pocketNamed, type Table } from '../table/table.ts';

/** A ball, a pocket that it can reach on a straight way, and the directions in which it falls. */
export interface PotLine {
  readonly ball: string;
  readonly pocket: PocketName;
  readonly object: BallOnTable;
  readonly acceptance: Acceptance;
}

export type AcceptanceSource = (table: Table, from: Point, pocket: PocketName) => Acceptance | undefined;

/**
 * The pots that a layout allows wherever the cue ball lies: balls with a clear way into a pocket that takes them.
 * @param balls all object balls, metres
 * @param wanted ids of those that may be potted
 * @param source exact or approximate acceptance
 */
export function potLines(
  table: Table,
  balls: readonly BallOnTable[],
  wanted: readonly string[],
  source: AcceptanceSource,
  pockets: readonly PocketName[] = POCKET_NAMES,
): readonly PotLine[] {
  return balls
    .filter(({ id }) => wanted.includes(id))
    .flatMap((object) => {
      const others = balls.filter((ball) => ball !== object);
      return pockets.flatMap((pocket) => {
        if (!isClear(object, pocketNamed(table, pocket).mouth, object.radius, others)) return [];
        const acceptance = source(table, object, pocket);
        return acceptance === undefined ? [] : [{ ball: object.id, pocket, object, acceptance }];
      });
    });
}

/** How a pot looks from a place of the cue ball. */
export type View =
  | { readonly why: 'on'; readonly chance: number; readonly cueing: Cueing }
  | { readonly why: 'no angle' | 'hidden' | 'no room' | 'cannot be cued'; readonly chance: 0 };

const none = (why: Exclude<View['why'], 'on'>): View => ({ why, chance: 0 });

/**
 * The chance of a pot by plain geometry, without throw and whatever lies in between: what turns the line of centres by
 * ε moves the cue ball's line by reach·cos(cut)·ε over its way to the contact. To sort pots by, and to pass over those
 * that cannot be the best.
 */
export function roughChance(cue: BallOnTable, { object, acceptance }: PotLine, errorRad: number): number {
  const reach = contactDistance(cue.radius, object.radius);
  const contact = contactFor(object, acceptance.middle, cue.radius, object.radius);
  const way = distance(cue, contact);
  if (way === 0) return 1;
  const cut = Math.cos(bearing(cue, contact) - acceptance.middle);
  if (cut < THINNEST) return 0;
  const half = 0.5 * (acceptance.high - acceptance.low);
  return 2 * normalCdf((half * reach * cut) / (way * errorRad)) - 1;
}

/** By how much the geometry's chance may fall short of the real one: throw and pace move it by less (tested). */
export const ROUGH_BY = 0.08;
/** Thinner than this nobody plays for position: cosine of the cut. */
const THINNEST = Math.cos(toRadians(84));

export interface ViewOptions extends CueingOptions {
  /** How the pot is played; left out, with centre ball at a pace that brings the ball in with ease. */
  readonly stroke?: Omit<PotStroke, 'elevation'>;
}

/**
 * Whether a ball can be potted from a place, how likely, and if not why: chance by `potChance`, the cue ball's way
 * free, the stroke cued with the errors that its hampering asks for.
 * @param cue the cue ball at that place
 * @param others the object balls but for the one to be potted
 */
export function viewOf(
  table: Table,
  cue: BallOnTable,
  line: PotLine,
  others: readonly BallOnTable[],
  error: ExecutionError,
  { stroke = { tip: CENTRE_BALL }, ...options }: ViewOptions = {},
): View {
  const { object, acceptance } = line;
  if (distance(cue, object) < contactDistance(cue.radius, object.radius)) return none('no room');
  for (const ball of others) {
    if (distance(cue, ball) < contactDistance(cue.radius, ball.radius)) return none('no room');
  }
  const contact = contactFor(object, acceptance.middle, cue.radius, object.radius);
  const direction = bearing(cue, contact);
  const cut = Math.cos(acceptance.middle - direction);
  if (cut < THINNEST) return none('no angle');
  if (!isClear(cue, contact, cue.radius, others)) return none('hidden');
  const cueing = cueingOf(table, cue, [...others, object], direction, options);
  if (cueing.verdict === 'impossible') return none('cannot be cued');
  const chance = potChance(table, cue, line, hampered(error, cueing.because), {
    ...stroke,
    elevation: buttOf(cueing),
  });
  return chance <= 0 ? none('no angle') : { why: 'on', chance, cueing };
}

/** A pot that is there from where the cue ball lies. */
export interface PotOption {
  readonly line: PotLine;
  readonly chance: number;
  readonly cueing: Cueing;
}

/** All pots that are there from a place, the likeliest first; arguments as for `viewOf`. */
export function potOptions(
  table: Table,
  cue: BallOnTable,
  lines: readonly PotLine[],
  balls: readonly BallOnTable[],
  error: ExecutionError,
  options: CueingOptions = {},
): readonly PotOption[] {
  return lines
    .flatMap((line) => {
      const others = balls.filter((ball) => ball.id !== line.ball);
      const view = viewOf(table, cue, line, others, error, options);
      return view.why === 'on' ? [{ line, chance: view.chance, cueing: view.cueing }] : [];
    })
    .sort((a, b) => b.chance - a.chance);
}
