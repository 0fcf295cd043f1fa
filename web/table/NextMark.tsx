import type { Point } from '../../core/math/point.ts';
import { colour } from '../theme.ts';
import { useProjection } from './context.ts';

interface NextMarkProps {
  readonly at: Point;
  /** Metres. */
  readonly radius: number;
}

/** A ball that may be played now: a double ring around it. */
export function NextMark({ at, radius }: NextMarkProps) {
  const projection = useProjection();
  const unit = Math.max(projection.width, projection.height) / 1000;
  const [cx, cy] = projection.toDrawing(at);
  return (
    <g fill="none" stroke={colour('coral')}>
      <circle cx={cx} cy={cy} r={1000 * radius + 5 * unit} strokeWidth={2.5 * unit} />
      <circle cx={cx} cy={cy} r={1000 * radius + 9 * unit} strokeWidth={unit} />
    </g>
  );
}
