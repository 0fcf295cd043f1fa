import type { LyingBall } from '../../../../core/camera/watch.ts';
import type { BallOnTable } from '../../../../core/motion/shot.ts';
import type { Table } from '../../../../core/table/table.ts';
import { ballsAt } from '../../../table/labShot.ts';

/** Balls as a camera has them, as balls on the table. */
export function placed(table: Table, lying: readonly LyingBall[]): readonly BallOnTable[] {
  return ballsAt(
    table,
    lying.map(({ name, at }) => ({ id: name, at })),
  );
}
