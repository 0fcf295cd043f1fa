import { useRef, useState, type KeyboardEvent } from 'react';
import { CUE_BALL, layOutWhatCan } from '../../core/drill/layout.ts';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import { ballsOfSetUp, setUp } from '../../core/drill/setUp.ts';
import { distance, type Point } from '../../core/math/point.ts';
import type { BallOnTable } from '../../core/motion/shot.ts';
import type { Drill } from '../../core/records/drill.ts';
import { buildTable } from '../../core/table/table.ts';
import { useBallDrag, type DragPhase } from '../table/ballDrag.ts';
import { BallMark, PathMark, WantedMark } from '../table/marks.tsx';
import { StationMarks } from '../table/StationMarks.tsx';
import { TableDrawing } from '../table/TableDrawing.tsx';
import { TargetMark } from '../table/TargetMark.tsx';
import { WindowMark } from '../table/WindowMark.tsx';
import { drawnPolygon, drawnTarget, placeBall, placeFor, shown, type DrawnKind, type Part } from './edits.ts';

/** What a drag over the table does. */
export type Tool = 'move' | DrawnKind | 'polygon';

interface DesignerTableProps {
  readonly drill: Drill;
  readonly part: Part;
  readonly tool: Tool;
  readonly snap: boolean;
  readonly plan: PlannedShot | undefined;
  /** Number of the stage whose bands are shown. */
  readonly stage: number;
  readonly positions: ReadonlyMap<string, Point | null> | undefined;
  readonly selected: string;
  readonly onSelect: (id: string) => void;
  readonly onEdit: (drill: Drill, step?: string) => void;
  readonly onKey: (event: KeyboardEvent) => void;
}

/** A polygon is closed by a tap this near to its first corner, metres. */
const CLOSING = 0.05;
/** The seed with which thrown balls are shown. */
const SEED = 1;

/** The balls of a draft; those that can be placed when something of it cannot. */
function ballsOf(drill: Drill): readonly BallOnTable[] {
  const { preset } = buildTable(drill.table);
  try {
    return ballsOfSetUp(setUp(drill, preset, SEED));
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return layOutWhatCan(drill, preset);
  }
}

/** The table of the designer: balls are dragged, targets are drawn. */
export function DesignerTable(props: DesignerTableProps) {
  const { drill, part, tool, snap, plan, stage, positions, selected, onSelect, onEdit, onKey } = props;
  const table = buildTable(drill.table);
  const view = shown(drill, part);
  const balls = ballsOf(view);
  const drags = useRef(0);
  const [drawn, setDrawn] = useState<{ readonly from: Point; readonly to: Point }>();
  const [corners, setCorners] = useState<readonly Point[]>([]);

  const moveBalls = useBallDrag({
    balls: balls.filter((ball) => view.balls.some(({ id }) => id === ball.id)),
    onSelect,
    onMove: (id, place, sameStep) => {
      if (!sameStep) drags.current++;
      const at = placeFor(drill, part, id, place, snap);
      onEdit(placeBall(drill, part, id, at), `drag ${drags.current}`);
    },
  });

  function drawPolygon(phase: DragPhase, place: Point) {
    if (phase !== 'down') return;
    const [first] = corners;
    if (first !== undefined && corners.length > 2 && distance(first, place) < CLOSING) {
      onEdit({ ...drill, targets: [...drill.targets, drawnPolygon(drill, corners)] });
      setCorners([]);
    } else setCorners([...corners, place]);
  }

  function draw(kind: DrawnKind, phase: DragPhase, place: Point) {
    if (phase === 'down') setDrawn({ from: place, to: place });
    else if (drawn !== undefined && phase === 'move') setDrawn({ ...drawn, to: place });
    else if (drawn !== undefined) {
      setDrawn(undefined);
      if (distance(drawn.from, place) > table.preset.ballRadius) {
        onEdit({ ...drill, targets: [...drill.targets, drawnTarget(drill, kind, drawn.from, place)] });
      }
    }
  }

  function drag(phase: DragPhase, place: Point) {
    if (tool === 'move') moveBalls(phase, place);
    else if (tool === 'polygon') drawPolygon(phase, place);
    else draw(tool, phase, place);
  }

  const preview =
    drawn !== undefined && tool !== 'move' && tool !== 'polygon' && distance(drawn.from, drawn.to) > 0.01
      ? [drawnTarget(drill, tool, drawn.from, drawn.to)]
      : tool === 'polygon' && corners.length > 1
        ? [drawnPolygon(drill, corners)]
        : [];
  const placed = balls.filter((ball) => view.balls.some(({ id }) => id === ball.id));
  const bands = drill.stages[stage - 1]?.bands ?? [];
  return (
    <TableDrawing table={table} label="The table of the designer" onDrag={drag} onKey={onKey}>
      <StationMarks drill={view} preset={table.preset} now={0} />
      {plan !== undefined && <WindowMark window={plan.window} bands={bands} wanted={plan.landing} />}
      {[...drill.targets, ...preview].map((target, i) => (
        <TargetMark key={i} target={target} placed={placed} />
      ))}
      {(plan?.result.paths ?? [])
        .filter((path) => path.id === CUE_BALL || path.pieces.length > 1)
        .map((path) => (
          <PathMark
            key={path.id}
            path={path}
            duration={plan?.result.duration ?? 0}
            kind={path.id === CUE_BALL ? 'cue' : 'object'}
          />
        ))}
      {plan !== undefined && <WantedMark at={plan.landing} />}
      {balls.map((ball) => {
        const at = positions === undefined ? ball : positions.get(ball.id);
        return at === null || at === undefined ? null : (
          <BallMark
            key={ball.id}
            id={ball.id}
            at={at}
            radius={ball.radius}
            selected={ball.id === selected && positions === undefined}
            {...(ball.id === CUE_BALL ? {} : { name: ball.id })}
          />
        );
      })}
    </TableDrawing>
  );
}
