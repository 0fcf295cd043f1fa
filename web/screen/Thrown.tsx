import { useMemo } from 'react';
import { setOrder } from '../../core/drill/setOrder.ts';
import { ballsOfSetUp, setUp } from '../../core/drill/setUp.ts';
import { atStage } from '../../core/drill/stage.ts';
import { homographyOf, type Homography } from '../../core/math/homography.ts';
import type { Point } from '../../core/math/point.ts';
import type { ScreenPicture } from '../../core/records/screen.ts';
import { tableOfCard } from '../../core/table/card.ts';
import type { Table } from '../../core/table/table.ts';
import { ProjectionContext, useProjection } from '../table/context.ts';
import { PlanPaths } from '../table/PlanPaths.tsx';
import { projectionOf } from '../table/projection.ts';
import { TargetMark } from '../table/TargetMark.tsx';
import { useShownPlan } from './useShownPlan.ts';

/** Which throw of thrown balls targets go by, before a round throws its own. */
const SHOWN_SEED = 1;

/** A place in the projector's picture, dots. */
export type Dot = [number, number];

interface ThrownProps {
  readonly picture: ScreenPicture;
  /** Where the four corners are thrown. */
  readonly corners: readonly Dot[];
  /** While the corners are dragged only the outline is thrown. */
  readonly isSetting: boolean;
}

/** Lines only, thrown so that the drawn table's corners fall on those of the real one. */
export function Thrown({ picture, corners, isSetting }: ThrownProps) {
  const table = tableOfCard(picture.card, picture.conditions?.conditions ?? null);
  const projection = useMemo(() => projectionOf(table, 'landscape'), [table]);
  const map = mapOf(table, corners);
  if (map === undefined) return null;
  const outline = cornersOf(table).map((at) => projection.toDrawing(at).join(','));
  return (
    <svg
      className="projector-lines"
      role="img"
      aria-label="What is thrown on the table"
      width={projection.width}
      height={projection.height}
      style={{ transform: cssOf(map) }}
    >
      <ProjectionContext.Provider value={projection}>
        {isSetting ? (
          <polygon points={outline.join(' ')} />
        ) : (
          picture.block !== null && <Lines {...picture} block={picture.block} />
        )}
      </ProjectionContext.Provider>
    </svg>
  );
}

/** Balls that are to be set or are set, targets, the planned way, landings: as the lesson shows them. */
function Lines(picture: ScreenPicture & { readonly block: NonNullable<ScreenPicture['block']> }) {
  const { block, shown, landings, beside } = picture;
  const projection = useProjection();
  const { preset } = projection.table;
  const { plan } = useShownPlan(picture);
  // A position that is called lies on another table.
  if (shown.view === 'call') return null;
  const drill = atStage(block.drill, block.stage);
  const order = setOrder(drill, preset);
  const isSetUp = shown.view === 'set up';
  const rings = isSetUp ? order.slice(0, shown.set + 1) : order;
  const ring = (at: Point, radius: number, key: string, className: string) => {
    const [cx, cy] = projection.toDrawing(at);
    return <circle key={key} cx={cx} cy={cy} r={1000 * radius} className={className} />;
  };
  return (
    <>
      {!isSetUp && (
        <g className="projector-targets">
          {drill.targets.map((target, i) => (
            <TargetMark key={i} target={target} placed={ballsOfSetUp(setUp(drill, preset, SHOWN_SEED))} />
          ))}
        </g>
      )}
      {rings.map((ball, i) => {
        const isNext = isSetUp ? i === shown.set : beside.some((each) => each.ball === ball.id);
        return ring(ball, ball.radius, ball.id, isNext ? 'blinking projector-next' : '');
      })}
      {shown.view === 'plan' && plan !== undefined && <PlanPaths plan={plan} />}
      {shown.view === 'landings' &&
        landings.map((at, i) => ring(at, preset.cueBallRadius / 2, `landing ${String(i)}`, ''))}
    </>
  );
}

const cornersOf = ({ length, width }: Table): readonly Point[] => [
  { x: 0, y: 0 },
  { x: 0, y: width },
  { x: length, y: width },
  { x: length, y: 0 },
];

/** The map from the drawing to the projector's picture; undefined for corners that are no table. */
function mapOf(table: Table, corners: readonly Dot[]): Homography | undefined {
  const projection = projectionOf(table, 'landscape');
  const from = cornersOf(table).map((at) => projection.toDrawing(at));
  try {
    return homographyOf(from, corners);
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}

/** A map of the plane as a browser takes it: columns of a matrix of space. */
const cssOf = ([a, b, c, d, e, f, g, h, i]: Homography) =>
  `matrix3d(${[a, d, 0, g, b, e, 0, h, 0, 0, 1, 0, c, f, 0, i].map((value) => value.toPrecision(12)).join(',')})`;
