import type { Shot, Strike } from '../../core/motion/shot.ts';
import type { MotionParameters } from '../../core/table/parameters.ts';
import { buildCustomTable } from '../../core/table/table.ts';
import type { TableAsPlayed } from '../workers/protocol.ts';

/** The table that was chosen: one of the club's, by its id, or a kind of table, by its own. */
export interface ChosenTable extends TableAsPlayed {
  readonly key: string;
}

/** A shot, and the table it was set on; undefined for a table that came with a file or a link. */
export interface LabPosition {
  readonly shot: Shot;
  readonly chosen: ChosenTable | undefined;
}

/** The ball in hand: the one that was chosen, or the struck one where that is not there any more. */
export function selectedIn({ shot }: LabPosition, selected: string): string {
  return shot.balls.some((ball) => ball.id === selected) ? selected : shot.strike.ball;
}

export function withStrike(shot: Shot, change: Partial<Strike>): Shot {
  return { ...shot, strike: { ...shot.strike, ...change } };
}

/** The same balls on the same table with other parameters. */
export function withParameters(shot: Shot, change: Partial<MotionParameters>): Shot {
  const { preset, parameters, pockets } = shot.table;
  return {
    ...shot,
    table: buildCustomTable(preset, { ...parameters, ...change }, pockets.length > 0),
  };
}
