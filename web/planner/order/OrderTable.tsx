import { memo, useMemo, type KeyboardEvent } from 'react';
import type { Point } from '../../../core/math/point.ts';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import type { PlanStep } from '../../../core/planning/order/course.ts';
import type { Table } from '../../../core/table/table.ts';
import type { DragPhase } from '../../table/ballDrag.ts';
import { LandingMark, PathMark } from '../../table/marks.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import { WindowMark } from '../../table/WindowMark.tsx';
import { CUE } from '../../table/labShot.ts';
import { LyingBalls } from '../../table/LyingBalls.tsx';
import { worthBands } from './worthBands.ts';
import { PocketMark } from '../../table/PocketMark.tsx';

interface OrderTableProps {
  readonly table: Table;
  readonly balls: readonly BallOnTable[];
  readonly steps: readonly PlanStep[];
  /** The step that is looked at, from 0. */
  readonly step: number;
  /** Where balls are while a step is played; null for one that fell. */
  readonly positions?: ReadonlyMap<string, Point | null> | undefined;
  readonly selected?: string;
  readonly onDrag?: (phase: DragPhase, place: Point) => void;
  readonly onKey?: (event: KeyboardEvent) => void;
}

/** The plan as a numbered way over the table, and the map of where the cue ball should be for one of its shots. */
export const OrderTable = memo(function OrderTable(props: OrderTableProps) {
  const { table, balls, steps, step, positions, selected = '', onDrag, onKey } = props;
  const ways = useMemo(() => steps.map((each) => simulate(each.shot, { paths: true })), [steps]);
  const looked = steps[step];
  const from = looked?.shot.balls.find(({ id }) => id === CUE);
  return (
    <TableDrawing
      table={table}
      label="The table to be cleared"
      {...(onDrag && { onDrag })}
      {...(onKey && { onKey })}
    >
      {looked !== undefined && from !== undefined && (
        <WindowMark window={looked.worth} bands={worthBands(looked.worth)} wanted={from} />
      )}
      {ways.map((way, i) =>
        way.paths
          ?.filter(({ id }) => id === CUE || id === steps[i]?.ball)
          .map((path) => (
            <PathMark
              key={`${i} ${path.id}`}
              path={path}
              duration={way.duration}
              kind={path.id === CUE ? 'cue' : 'object'}
              kept={i !== step}
            />
          )),
      )}
      <LyingBalls
        balls={positions !== undefined && looked !== undefined ? looked.shot.balls : balls}
        positions={positions}
        selected={selected}
      />
      {looked !== undefined && <PocketMark name={looked.pocket} />}
      {steps.map((each, i) => (
        <LandingMark key={i} at={each.landing} ordinal={i + 1} strong={i === step} />
      ))}
    </TableDrawing>
  );
});
