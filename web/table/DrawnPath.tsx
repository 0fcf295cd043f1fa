import type { Point } from '../../core/math/point.ts';
import { colour } from '../theme.ts';
import { useProjection } from './context.ts';
import { pathText } from './projection.ts';

interface DrawnPathProps {
  readonly points: readonly Point[];
  /** The coach's beside the player's. */
  readonly second?: boolean;
}

/** A way that somebody drew: dashed, with a dot at each turn. */
export function DrawnPath({ points, second = false }: DrawnPathProps) {
  const projection = useProjection();
  const unit = Math.max(projection.width, projection.height) / 1000;
  const ink = colour(second ? 'teal' : 'coral');
  return (
    <g stroke={ink} fill={ink}>
      <path
        d={pathText(projection, points)}
        fill="none"
        strokeWidth={2.6 * unit}
        strokeDasharray={second ? `${3 * unit} ${4 * unit}` : `${9 * unit} ${5 * unit}`}
      />
      {points.map((point, i) => {
        const [x, y] = projection.toDrawing(point);
        return <circle key={i} cx={x} cy={y} r={(points.length === 1 ? 8 : 3.4) * unit} stroke="none" />;
      })}
    </g>
  );
}
