import { memo, useMemo, type KeyboardEvent } from 'react';
import type { Point } from '../../../core/math/point.ts';
import type { Shot } from '../../../core/motion/shot.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import type { PlanStep } from '../../../core/planning/order/orderPlan.ts';
import { useBallDrag } from '../../table/ballDrag.ts';
import { BallMark, LandingMark, PathMark } from '../../table/marks.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import { WindowMark } from '../../table/WindowMark.tsx';
import { CUE } from '../../table/labShot.ts';

interface OrderTableProps {
  readonly shot: Shot;
  readonly steps: readonly PlanStep[];
  /** The step that is looked at, from 0. */
  readonly step: number;
  readonly selected: string;
  readonly onSelect: (id: string) => void;
  readonly onMove: (id: string, to: Point, sameStep: boolean) => void;
  readonly onKey: (event: KeyboardEvent) => void;
}

/** Shares of the best chance of clearing at which its map is contoured. */
const SHARES = [0.75, 0.88, 0.96];

/** Contours of a map, by its best place; whole percents, each once. */
function bandsOf({ worth }: PlanStep) {
  const best = worth.chances.reduce((most, value) => Math.max(most, value), 0);
  return SHARES.map((share, i) => ({ chance: Math.round(100 * share * best) / 100, points: i + 1 }));
}

/** The plan as a numbered way over the table, and the map of where the cue ball should be for one of its shots. */
export const OrderTable = memo(function OrderTable(props: OrderTableProps) {
  const { shot, steps, step, selected, onSelect, onMove, onKey } = props;
  const drag = useBallDrag({ balls: shot.balls, onSelect, onMove });
  const ways = useMemo(() => steps.map((each) => simulate(each.shot, { paths: true })), [steps]);
  const looked = steps[step];
  const from = looked?.shot.balls.find(({ id }) => id === CUE);
  return (
    <TableDrawing table={shot.table} label="The table to be cleared" onDrag={drag} onKey={onKey}>
      {looked !== undefined && from !== undefined && (
        <WindowMark window={looked.worth} bands={bandsOf(looked)} wanted={from} />
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
      {shot.balls.map((ball) => (
        <BallMark
          key={ball.id}
          id={ball.id}
          at={ball}
          radius={ball.radius}
          selected={ball.id === selected}
          {...(ball.id === CUE ? {} : { name: ball.id })}
        />
      ))}
      {steps.map((each, i) => (
        <LandingMark key={i} at={each.landing} ordinal={i + 1} strong={i === step} />
      ))}
    </TableDrawing>
  );
});
