import { useDrag } from '@use-gesture/react';
import { useMemo, type KeyboardEvent, type MouseEvent, type ReactNode } from 'react';
import type { Point } from '../../core/math/point.ts';
import { clothLinesOf, sightsOf, spotsOf } from '../../core/table/markings.ts';
import type { Table } from '../../core/table/table.ts';
import { colour } from '../theme.ts';
import type { DragPhase } from './ballDrag.ts';
import { ProjectionContext } from './context.ts';
import { cushionOutline } from './cushionOutline.ts';
import { CUSHION_DEPTH, pathText, projectionOf, type Orientation, type Projection } from './projection.ts';

interface TableDrawingProps {
  readonly table: Table;
  /** Read out instead of the picture. */
  readonly label: string;
  readonly orientation?: Orientation;
  /** Called with the place that was tapped, metres. */
  readonly onTap?: (place: Point) => void;
  /** Called while a finger or the mouse is down. */
  readonly onDrag?: (phase: DragPhase, place: Point) => void;
  /** With it the drawing takes the focus and is worked by keys. */
  readonly onKey?: (event: KeyboardEvent) => void;
  readonly children?: ReactNode;
}

/** The table to scale; the marks drawn on it are its children. */
export function TableDrawing({
  table,
  label,
  orientation = 'landscape',
  onTap,
  onDrag,
  onKey,
  children,
}: TableDrawingProps) {
  const projection = useMemo(() => projectionOf(table, orientation), [table, orientation]);

  function placeOf(drawing: EventTarget | null, x: number, y: number): Point | undefined {
    const matrix = drawing instanceof SVGSVGElement ? drawing.getScreenCTM() : null;
    if (matrix === null) return undefined;
    const at = new DOMPoint(x, y).matrixTransform(matrix.inverse());
    return projection.toCloth(at.x, at.y);
  }

  function tap(event: MouseEvent<SVGSVGElement>) {
    const place = placeOf(event.currentTarget, event.clientX, event.clientY);
    if (place !== undefined) onTap?.(place);
  }

  const gestures = useDrag(
    ({ first, last, xy: [x, y], currentTarget }) => {
      const place = placeOf(currentTarget, x, y);
      if (place !== undefined) onDrag?.(first ? 'down' : last ? 'up' : 'move', place);
    },
    // A drag begins where the finger comes down; keys are the drawing's own.
    { enabled: onDrag !== undefined, pointer: { keys: false } },
  );

  return (
    <svg
      className="table-drawing"
      viewBox={`0 0 ${projection.width} ${projection.height}`}
      role={onKey === undefined ? 'img' : 'application'}
      aria-label={label}
      tabIndex={onKey === undefined ? undefined : 0}
      onKeyDown={onKey}
      onClick={onTap === undefined ? undefined : tap}
      {...(onDrag === undefined ? {} : gestures())}
      style={
        onTap === undefined && onDrag === undefined
          ? undefined
          : { cursor: 'crosshair', ...(onDrag === undefined ? {} : { touchAction: 'none' }) }
      }
    >
      <ProjectionContext value={projection}>
        <Bed projection={projection} />
        {children}
      </ProjectionContext>
    </svg>
  );
}

function Bed({ projection }: { readonly projection: Projection }) {
  const { table } = projection;
  const back = CUSHION_DEPTH;
  const corner = projection.toDrawing({ x: -back, y: -back });
  const opposite = projection.toDrawing({ x: table.length + back, y: table.width + back });
  const ink = colour('ink');
  return (
    <g>
      <rect
        x={4}
        y={4}
        width={projection.width - 8}
        height={projection.height - 8}
        rx={70}
        fill={colour('rail')}
        stroke={ink}
        strokeWidth={6}
      />
      <rect
        x={Math.min(corner[0], opposite[0])}
        y={Math.min(corner[1], opposite[1])}
        width={Math.abs(opposite[0] - corner[0])}
        height={Math.abs(opposite[1] - corner[1])}
        fill={colour('cloth')}
        stroke={ink}
        strokeWidth={4}
      />
      <ClothMarks projection={projection} />
      {table.cushions.map((cushion) => (
        <path
          key={cushion.name}
          d={pathText(projection, cushionOutline(cushion), true)}
          fill={colour('cushion')}
          stroke={ink}
          strokeWidth={4}
          strokeLinejoin="round"
        />
      ))}
      {table.pockets.map((pocket) => {
        const [cx, cy] = projection.toDrawing(pocket.drop);
        return (
          <circle
            key={pocket.name}
            cx={cx}
            cy={cy}
            r={1000 * pocket.radius}
            fill={colour('pocket')}
            stroke={colour('rail-ink')}
            strokeWidth={7}
          />
        );
      })}
      {sightsOf(table.preset).map((sight) => {
        const [x, y] = projection.toDrawing(sight);
        return (
          <path
            key={`${sight.x} ${sight.y}`}
            d={`M${x} ${y - 16}L${x + 9} ${y}L${x} ${y + 16}L${x - 9} ${y}Z`}
            fill={colour('rail-ink')}
          />
        );
      })}
    </g>
  );
}

/** Spots, and the line across with the D on a snooker table. */
function ClothMarks({ projection }: { readonly projection: Projection }) {
  const { table } = projection;
  const { acrossAt, dRadius } = clothLinesOf(table.preset);
  const dPoints =
    dRadius === undefined
      ? []
      : Array.from({ length: 33 }, (_, i) => {
          const angle = Math.PI / 2 + (Math.PI * i) / 32;
          return { x: acrossAt + dRadius * Math.cos(angle), y: table.width / 2 + dRadius * Math.sin(angle) };
        });
  const dashes = dRadius === undefined ? '4 14' : undefined;
  return (
    <g fill="none" stroke={colour('muted')} strokeWidth={4} opacity={0.65}>
      <path
        d={pathText(projection, [
          { x: acrossAt, y: 0 },
          { x: acrossAt, y: table.width },
        ])}
        strokeDasharray={dashes}
      />
      {dPoints.length > 0 && <path d={pathText(projection, dPoints)} />}
      {spotsOf(table.preset).map((spot) => {
        const [cx, cy] = projection.toDrawing(spot.at);
        return <circle key={spot.name} cx={cx} cy={cy} r={7} fill={colour('muted')} stroke="none" />;
      })}
    </g>
  );
}
