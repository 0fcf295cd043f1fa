import { contours } from 'd3-contour';
import { useMemo } from 'react';
import type { Point } from '../../core/math/point.ts';
import type { PositionWindow } from '../../core/planning/grid.ts';
import { colour } from '../theme.ts';
import { useProjection } from './context.ts';
import { pathText } from './projection.ts';

const LEVELS = [0.15, 0.35, 0.55] as const;
const DEPTHS = [0.18, 0.3, 0.5] as const;
const DASHES = ['4 8', '10 6', undefined] as const;

/** From where what is wanted comes by itself: the fuller the more surely. */
export function BackwardMark({ map }: { readonly map: PositionWindow }) {
  const projection = useProjection();
  const drawn = useMemo(() => {
    const draw = contours().size([map.columns, map.rows]);
    return LEVELS.map((level) =>
      draw
        .contour(Array.from(map.chances), level)
        .coordinates.flat()
        .map((ring) =>
          ring.map(([u = 0, v = 0]): Point => ({
            x: map.x0 + (u - 0.5) * map.dx,
            y: map.y0 + (v - 0.5) * map.dy,
          })),
        ),
    );
  }, [map]);
  return (
    <g>
      {drawn.map((rings, i) => (
        <path
          key={LEVELS[i]}
          d={rings.map((ring) => pathText(projection, ring, true)).join('')}
          fill={colour('teal')}
          fillOpacity={DEPTHS[i]}
          fillRule="evenodd"
          stroke={colour('teal')}
          strokeWidth={4}
          strokeDasharray={DASHES[i]}
        />
      ))}
    </g>
  );
}
