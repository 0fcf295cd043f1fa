import { contours } from 'd3-contour';
import { useMemo } from 'react';
import { distance, type Point } from '../../core/math/point.ts';
import type { PositionWindow } from '../../core/planning/grid.ts';
import type { Band } from '../../core/records/drill.ts';
import { colour } from '../theme.ts';
import { useProjection } from './context.ts';
import { Halo } from './marks.tsx';
import { pathText } from './projection.ts';

interface Contour {
  readonly band: Band;
  readonly rings: readonly (readonly Point[])[];
}

function contoursOf(window: PositionWindow, bands: readonly Band[]): readonly Contour[] {
  const draw = contours().size([window.columns, window.rows]);
  return bands.map((band) => ({
    band,
    rings: draw
      .contour(Array.from(window.chances), band.chance)
      .coordinates.flat()
      .map((ring) =>
        ring.map(([u = 0, v = 0]) => ({
          x: window.x0 + (u - 0.5) * window.dx,
          y: window.y0 + (v - 0.5) * window.dy,
        })),
      ),
  }));
}

/** The place of a contour's label: where the contour comes nearest to the wanted landing, bands taking turns in side. */
function labelPlace(rings: readonly (readonly Point[])[], wanted: Point, turn: number): Point | undefined {
  const from = { x: wanted.x + 0.35 * Math.cos(2.1 * turn), y: wanted.y + 0.35 * Math.sin(2.1 * turn) };
  const points = rings.flat();
  let best = points[0];
  for (const point of points) {
    if (best === undefined || distance(point, from) < distance(best, from)) best = point;
  }
  return best;
}

interface WindowMarkProps {
  readonly window: PositionWindow;
  readonly bands: readonly Band[];
  readonly wanted: Point;
}

/** Dashes and depth of colour both grow with the band, so that the bands can be told apart in grey. */
const LINES = ['14 12', '28 8', undefined] as const;
const DEPTHS = [0.16, 0.24, 0.42] as const;

/** The window of the next ball, contoured by the chance of potting it from there. */
export function WindowMark({ window, bands, wanted }: WindowMarkProps) {
  const projection = useProjection();
  const drawn = useMemo(() => contoursOf(window, bands), [window, bands]);
  const size = (19 * Math.max(projection.width, projection.height)) / 1000;
  return (
    <g>
      {drawn.map(({ band, rings }, i) => (
        <path
          key={band.chance}
          d={rings.map((ring) => pathText(projection, ring, true)).join('')}
          fill={colour('gold')}
          fillOpacity={DEPTHS[i] ?? 0.4}
          fillRule="evenodd"
          stroke={colour('rail-ink')}
          strokeWidth={4}
          strokeDasharray={LINES[i]}
        />
      ))}
      {drawn.map(({ band, rings }, i) => {
        const place = labelPlace(rings, wanted, i);
        if (place === undefined) return null;
        const [u, v] = projection.toDrawing(place);
        return (
          <Halo
            key={band.chance}
            x={u}
            y={v + size / 3}
            size={size}
            text={`${Math.round(100 * band.chance)} %`}
            middle
          />
        );
      })}
    </g>
  );
}
