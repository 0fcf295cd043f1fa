import { CUE_BALL, layOutWhatCan } from '../../core/drill/layout.ts';
import { atStation, stationsOf } from '../../core/drill/station.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { TablePreset } from '../../core/table/preset.ts';
import { colour } from '../theme.ts';
import { useProjection } from './context.ts';

interface StationMarksProps {
  readonly drill: Drill;
  readonly preset: TablePreset;
  /** The station whose turn it is, from 1; 0 where all of them are looked at. */
  readonly now: number;
}

/** The places that the cue ball takes in turn, each with its number: rings, where the ball itself does not lie. */
export function StationMarks({ drill, preset, now }: StationMarksProps) {
  const projection = useProjection();
  const unit = Math.max(projection.width, projection.height) / 1000;
  if (stationsOf(drill) === 1) return null;
  return (
    <g fill={colour('ink')} stroke={colour('ink')}>
      {Array.from({ length: stationsOf(drill) }, (_, k) => {
        const cue = layOutWhatCan(atStation(drill, k + 1), preset).find(({ id }) => id === CUE_BALL);
        if (cue === undefined) return null;
        const [x, y] = projection.toDrawing(cue);
        const [ex, ey] = projection.toDrawing({ x: cue.x + cue.radius, y: cue.y });
        const radius = Math.max(9 * unit, Math.hypot(ex - x, ey - y));
        return (
          <g key={k}>
            {k + 1 !== now && (
              <circle data-station={k + 1} cx={x} cy={y} r={radius} fill="none" strokeWidth={1.5 * unit} />
            )}
            <text
              x={x + 1.5 * radius}
              y={y - 1.2 * radius}
              stroke="none"
              fontSize={18 * unit}
              textAnchor="middle"
              dominantBaseline="central"
            >
              {k + 1}
            </text>
          </g>
        );
      })}
    </g>
  );
}
