import type { ReactNode } from 'react';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import { CUE_BALL } from '../../core/drill/layout.ts';
import { ballsOfSetUp, setUp } from '../../core/drill/setUp.ts';
import { atStation, stationOfAttempt } from '../../core/drill/station.ts';
import type { Point } from '../../core/math/point.ts';
import type { Drill } from '../../core/records/drill.ts';
import { buildTable, type Table } from '../../core/table/table.ts';
import { StationMarks } from './StationMarks.tsx';
import { BallMark, WantedMark } from './marks.tsx';
import type { Orientation } from './projection.ts';
import { TargetMark } from './TargetMark.tsx';
import { PlanPaths } from './PlanPaths.tsx';
import { TableDrawing } from './TableDrawing.tsx';
import { WindowMark } from './WindowMark.tsx';
import { PocketMark } from './PocketMark.tsx';
import { pocketsOfTask } from './pocketsOfTask.ts';

/** The seed with which thrown balls are shown before they are thrown for a round. */
const SHOWN_SEED = 1;

interface DrillDrawingProps {
  readonly drill: Drill;
  /** Number of the stage, from 1. */
  readonly stage: number;
  /** The table it is set on; one as it ships where none is given. */
  readonly table?: Table | undefined;
  /** Without it only the balls are drawn. */
  readonly plan?: PlannedShot | undefined;
  /** Where the balls are while the stroke is played; as set otherwise. */
  readonly positions?: ReadonlyMap<string, Point | null> | undefined;
  readonly orientation?: Orientation;
  readonly onTap?: (place: Point) => void;
  /** A picture to recognise the layout by: larger balls, no names. */
  readonly small?: boolean;
  /** Which throw of the thrown balls is shown. */
  readonly seed?: number;
  /** Number of the attempt, from 1: the cue ball lies at the station whose turn it is. */
  readonly attempt?: number;
  readonly children?: ReactNode;
}

const SMALL_SCALE = 1.7;

/** A drill on its table: balls, planned paths, the window of the next ball, and what is put on top. */
export function DrillDrawing({
  drill,
  stage,
  table: given,
  plan,
  positions,
  orientation,
  onTap,
  small = false,
  seed = SHOWN_SEED,
  attempt = 1,
  children,
}: DrillDrawingProps) {
  const table = plan?.shot.table ?? given ?? buildTable(drill.table);
  const bands = drill.stages[stage - 1]?.bands ?? [];
  const balls = ballsOfSetUp(setUp(atStation(drill, attempt), table.preset, seed));
  return (
    <TableDrawing
      table={table}
      label={`${drill.title}: the balls on the ${table.preset.name} table`}
      {...(orientation === undefined ? {} : { orientation })}
      {...(onTap === undefined ? {} : { onTap })}
    >
      {plan !== undefined && <WindowMark window={plan.window} bands={bands} wanted={plan.landing} />}
      {drill.targets.map((target, i) => (
        <TargetMark key={i} target={target} placed={balls} />
      ))}
      {plan !== undefined && <PlanPaths plan={plan} />}
      {!small && pocketsOfTask(drill.task).map((name) => <PocketMark key={name} name={name} />)}
      {plan !== undefined && <WantedMark at={plan.landing} />}
      {!small && <StationMarks drill={drill} preset={table.preset} now={stationOfAttempt(drill, attempt)} />}
      {balls.map((ball) => {
        const at = positions === undefined ? ball : positions.get(ball.id);
        if (at === null || at === undefined) return null;
        return (
          <BallMark
            key={ball.id}
            id={ball.id}
            at={at}
            radius={ball.radius * (small ? SMALL_SCALE : 1)}
            {...(ball.id === CUE_BALL || small ? {} : { name: ball.id })}
          />
        );
      })}
      {children}
    </TableDrawing>
  );
}
