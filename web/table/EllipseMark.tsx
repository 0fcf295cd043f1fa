import type { ScatterEllipse } from '../../core/statistics/ellipse.ts';
import { colour } from '../theme.ts';
import { useProjection } from './context.ts';
import { pathText } from './projection.ts';

const CORNERS = 48;

/** Where half of the landings lie: an ellipse in the cue ball's colour, dashed. */
export function EllipseMark({ ellipse }: { readonly ellipse: ScatterEllipse }) {
  const projection = useProjection();
  const { centre, long, short, angle } = ellipse;
  const unit = Math.max(projection.width, projection.height) / 1000;
  const points = Array.from({ length: CORNERS }, (_, i) => {
    const t = (2 * Math.PI * i) / CORNERS;
    const [u, v] = [long * Math.cos(t), short * Math.sin(t)];
    return {
      x: centre.x + u * Math.cos(angle) - v * Math.sin(angle),
      y: centre.y + u * Math.sin(angle) + v * Math.cos(angle),
    };
  });
  return (
    <path
      d={pathText(projection, points, true)}
      fill={colour('indigo')}
      fillOpacity={0.1}
      stroke={colour('indigo')}
      strokeWidth={2 * unit}
      strokeDasharray={`${6 * unit} ${4 * unit}`}
    />
  );
}
