import { CUE_BALL } from '../../drill/layout.ts';
import type { BallOnTable } from '../../motion/shot.ts';
import { rackBalls } from '../../rack/rack.ts';
import type { Table } from '../../table/table.ts';
import { gradeBreak, type Rack } from '../breakGrades.ts';

/** What a break has come to, by where everything lies. */
export interface BreakRead {
  /** Balls of the rack that are not on the table any more. */
  readonly balls: number;
  readonly control: number;
  readonly layout: number;
  /** The cue ball is not there. */
  readonly inOff: boolean;
  readonly cue: BallOnTable | undefined;
}

/**
 * Reads a break from all balls at rest, and grades it as `gradeBreak` does.
 * @param lying all that lie on the table, the cue ball among them unless it fell, metres
 * @throws RangeError where more balls lie there than were racked
 */
export function breakFromPlaces(table: Table, rack: Rack, lying: readonly BallOnTable[]): BreakRead {
  const racked = rackBalls(rack, table.preset);
  const cue = lying.find(({ id }) => id === CUE_BALL);
  const objects = lying.filter((ball) => ball !== cue);
  // At snooker the colours stand beside the rack.
  const ofRack = rack === 'reds' ? objects.filter(({ id }) => id.startsWith('red')) : objects;
  if (ofRack.length > racked.length)
    throw new RangeError(
      `breakFromPlaces: ${String(ofRack.length)} balls lie there, ${String(racked.length)} were racked`,
    );
  return {
    balls: racked.length - ofRack.length,
    ...gradeBreak(table, rack, cue, objects),
    inOff: cue === undefined,
    cue,
  };
}
