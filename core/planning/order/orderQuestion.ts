import type { BallOnTable } from '../../motion/shot.ts';
import type { ExecutionError } from '../../player/levels.ts';
import type { Table } from '../../table/table.ts';
import type { Look } from './look.ts';
import type { OrderGame } from './nodes.ts';
import type { ShotRules, ShotTable } from './shotTable.ts';
import type { TableDetail } from './tableDetail.ts';

/** What a plan is asked for. */
export interface OrderQuestion<S> extends ShotRules {
  readonly table: Table;
  /** Object balls where they lie. */
  readonly balls: readonly BallOnTable[];
  readonly game: OrderGame<S>;
  /** The player's: standard deviations of line (degrees), pace (share), tip (ball radii) and butt (degrees). */
  readonly error: ExecutionError;
  readonly detail: TableDetail;
  /** Pots after the one that is played which are looked at; left out, all up to the end. */
  readonly ahead?: number | undefined;
  /** How closely the strokes of a shot are looked at; left out, as closely as a plan that is shown. */
  readonly look?: Look | undefined;
  /** The question's shots, where other threads have worked them out. */
  readonly shots?: ShotTable | undefined;
}
