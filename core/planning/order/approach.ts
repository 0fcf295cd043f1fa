import { toRadians } from '../../math/angle.ts';
import { bearing, distance } from '../../math/point.ts';
import { contactDistance } from '../../motion/ballBall.ts';
import type { BallOnTable } from '../../motion/shot.ts';
import { cueingOf } from '../../player/cueing.ts';
import type { ExecutionError } from '../../player/levels.ts';
import { isClear } from '../../shot/corridor.ts';
import {
  cushionFalls,
  cushionLine,
  cushionWays,
  roughCushionChance,
  type CushionWay,
} from '../../shot/cushionPot.ts';
import { aimedPot, aimedStroke } from '../../shot/potChance.ts';
import type { Table } from '../../table/table.ts';
import { roughChance, type PotLine, type PotOption } from '../potOptions.ts';

/** How a pot is played from a place: straight at the ball, or by one cushion first. */
export interface Approach {
  readonly line: PotLine;
  /** Undefined for straight at the ball. */
  readonly by: CushionWay | undefined;
  /** The chance by plain geometry, 0…1. */
  readonly rough: number;
  /** In which about the cue points, radians. */
  readonly direction: number;
}

/** The ways of playing at a pot, the balls alone on the table. @param cushionFirst whether a cushion has to come before the ball */
export function approachesTo(
  table: Table,
  cue: BallOnTable,
  line: PotLine,
  error: ExecutionError,
  cushionFirst: boolean,
): readonly Approach[] {
  const spread = toRadians(error.directionDeg);
  if (!cushionFirst) {
    return [
      { line, by: undefined, rough: roughChance(cue, line, spread), direction: bearing(cue, line.object) },
    ];
  }
  return cushionWays(table, cue, line).map((by) => ({
    line,
    by,
    rough: roughCushionChance(cue, line, by, spread),
    direction: by.direction,
  }));
}

/** A pot that is there from where the cue ball lies, and the way to it. */
export type ApproachOption = PotOption & Pick<Approach, 'by'>;

/** The pots by one cushion that are there from a place, as `potOptions` has the straight ones; their chance is by plain geometry. */
export function cushionOptions(
  table: Table,
  cue: BallOnTable,
  lines: readonly PotLine[],
  balls: readonly BallOnTable[],
  error: ExecutionError,
): readonly ApproachOption[] {
  if (balls.some((ball) => distance(cue, ball) < contactDistance(cue.radius, ball.radius))) return [];
  return lines
    .flatMap((line) => approachesTo(table, cue, line, error, true))
    .flatMap(({ line, by, rough, direction }) => {
      if (by === undefined) return [];
      const others = balls.filter(({ id }) => id !== line.ball);
      const isOpen =
        isClear(cue, by.bounce, cue.radius, balls) && isClear(by.bounce, by.contact, cue.radius, others);
      if (!isOpen) return [];
      const cueing = cueingOf(table, cue, balls, direction);
      return cueing.verdict === 'impossible' ? [] : [{ line, by, chance: rough, cueing }];
    });
}

/** A stroke at a pot as it is aimed. */
interface Aimed {
  /** In which the cue ball leaves, radians. */
  readonly leaves: number;
  /** That the ball keeps to the directions that fall, and that it gets to the pocket at all, 0…1. */
  readonly falls: number;
  readonly arrives: number;
}

/** Aims a stroke of a pace with a height of the tip, ball radii; undefined where none does, or where it falls less often than asked. */
type AimAtHeight = (height: number) => Aimed | undefined;

const LEVEL_TIP = { side: 0, height: 0 };

/**
 * Aims strokes without side at a pot. Whether the ball keeps its direction hardly depends on the height of the tip: it is worked
 * out once for a pace.
 * @param error the player's, as hampered there @param elevation of the butt, radians @param speed m/s @param least pots that
 * fall less often are not aimed, 0…1
 */
export function aimsAt(
  table: Table,
  cue: BallOnTable,
  { line, by }: Pick<Approach, 'line' | 'by'>,
  error: ExecutionError,
  elevation: number,
  speed: number,
  least: number,
): AimAtHeight {
  if (by === undefined) {
    const falls = aimedPot(table, cue, line, error, { tip: LEVEL_TIP, elevation, speed })?.falls ?? 0;
    if (falls < least) return () => undefined;
    return (height) => {
      const aimed = aimedStroke(table, cue, line, error, { tip: { side: 0, height }, elevation, speed });
      return aimed && { leaves: aimed.leaves, falls, arrives: aimed.arrives };
    };
  }
  const stroke = { speed, tip: LEVEL_TIP, elevation };
  const level = cushionLine(table, cue, line, by, stroke, by.direction);
  if (level === undefined) return () => undefined;
  const falls = cushionFalls(table, cue, line, by, stroke, level, error);
  if (falls < least) return () => undefined;
  return (height) => {
    const leaves = cushionLine(table, cue, line, by, { ...stroke, tip: { side: 0, height } }, level);
    // Whether it gets there is seen when it is played.
    return leaves === undefined ? undefined : { leaves, falls, arrives: 1 };
  };
}
