import type { Target } from '../../core/records/drill.ts';
import type { BallOnTable } from '../../core/motion/shot.ts';
import type { Point } from '../../core/math/point.ts';
import { centreOfRings } from '../../core/scoring/targetPoints.ts';
import { colour, TEXT_FONT } from '../theme.ts';
import { useProjection } from './context.ts';
import { pathText, type Projection } from './projection.ts';
import { sidePlace } from './sidePlace.ts';

interface TargetMarkProps {
  readonly target: Target;
  /** The drill's placed balls, for rings beside one and the thickness of one. */
  readonly placed: readonly BallOnTable[];
}

const DASHES = '26 14';
/** How strongly an area is filled. */
const FILL = 0.14;

function Points({ at, points }: { readonly at: Point; readonly points: number }) {
  const projection = useProjection();
  const [x, y] = projection.toDrawing(at);
  const size = Math.max(projection.width, projection.height) / 46;
  return (
    <text
      x={x}
      y={y + size / 3}
      textAnchor="middle"
      fontFamily={TEXT_FONT}
      fontWeight={700}
      fontSize={size}
      fill={colour('indigo')}
    >
      {points}
    </text>
  );
}

const cornerOf = (
  { along, across }: { readonly along: number; readonly across: number },
  { table }: Projection,
): Point => ({ x: along * table.length, y: across * table.width });

function Area({ corners, points }: { readonly corners: readonly Point[]; readonly points: number }) {
  const projection = useProjection();
  const middle = {
    x: corners.reduce((sum, { x }) => sum + x, 0) / corners.length,
    y: corners.reduce((sum, { y }) => sum + y, 0) / corners.length,
  };
  return (
    <g>
      <path
        d={pathText(projection, corners, true)}
        fill={colour('indigo')}
        fillOpacity={FILL}
        stroke={colour('indigo')}
        strokeWidth={5}
        strokeDasharray={DASHES}
      />
      <Points at={middle} points={points} />
    </g>
  );
}

/** The middle of rings; undefined on a table that does not have their place. */
function centreOn(...[target, preset, placed]: Parameters<typeof centreOfRings>): Point | undefined {
  try {
    return centreOfRings(target, preset, placed);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return undefined;
  }
}

function Rings({
  target,
  placed,
}: {
  readonly target: Extract<Target, { kind: 'rings' }>;
  readonly placed: readonly BallOnTable[];
}) {
  const projection = useProjection();
  const { preset } = projection.table;
  const centre = centreOn(target, preset, placed);
  if (centre === undefined) return null;
  const [cx, cy] = projection.toDrawing(centre);
  const ball = 2 * preset.ballRadius;
  return (
    <g>
      {[...target.rings].reverse().map(({ radius, points }, i, all) => {
        const inner = all[i + 1]?.radius ?? 0;
        const across = { x: centre.x, y: centre.y + ((radius + inner) / 2) * ball * (inner === 0 ? 0 : 1) };
        return (
          <g key={radius}>
            <circle
              cx={cx}
              cy={cy}
              r={1000 * radius * ball}
              fill={colour('indigo')}
              fillOpacity={FILL}
              stroke={colour('indigo')}
              strokeWidth={5}
              strokeDasharray={DASHES}
            />
            <Points at={across} points={points} />
          </g>
        );
      })}
    </g>
  );
}

/** A target, in the one way in which targets are drawn: dashed outline, its points inside. */
export function TargetMark({ target, placed }: TargetMarkProps) {
  const projection = useProjection();
  const { table } = projection;
  switch (target.kind) {
    case 'rings':
      return <Rings target={target} placed={placed} />;
    case 'rectangle': {
      const [a, b] = [cornerOf(target.from, projection), cornerOf(target.to, projection)];
      const corners = [a, { x: b.x, y: a.y }, b, { x: a.x, y: b.y }];
      return <Area corners={corners} points={target.points} />;
    }
    case 'polygon':
      return (
        <Area corners={target.corners.map((corner) => cornerOf(corner, projection))} points={target.points} />
      );
    case 'way': {
      const [a, b] = [cornerOf(target.from, projection), cornerOf(target.to, projection)];
      const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
      const room = (2 * table.preset.ballRadius * target.room) / length;
      const [dx, dy] = [(b.y - a.y) * room, (a.x - b.x) * room];
      const corners = [
        { x: a.x + dx, y: a.y + dy },
        { x: b.x + dx, y: b.y + dy },
        { x: b.x - dx, y: b.y - dy },
        { x: a.x - dx, y: a.y - dy },
      ];
      return <Area corners={corners} points={target.points} />;
    }
    case 'cushion':
      return (
        <path
          d={pathText(projection, [
            sidePlace(target.side, target.from, table),
            sidePlace(target.side, target.to, table),
          ])}
          stroke={colour('indigo')}
          strokeWidth={22}
          strokeLinecap="round"
          fill="none"
        />
      );
    case 'thickness': {
      const ball = placed.find((each) => each.id === target.ball);
      if (ball === undefined) return null;
      const [cx, cy] = projection.toDrawing(ball);
      return (
        <circle
          cx={cx}
          cy={cy}
          r={1600 * ball.radius}
          fill="none"
          stroke={colour('indigo')}
          strokeWidth={5}
          strokeDasharray={DASHES}
        />
      );
    }
  }
}
