import type { Aftermath } from '../../core/planning/aftermath.ts';
import { colour } from '../theme.ts';
import { useProjection } from './context.ts';

interface CloudMarkProps {
  readonly landings: readonly Aftermath[];
  /** From this chance of the next pot on a landing is drawn full. */
  readonly confidence: number;
}

/** Where executions of the stroke come to rest: full dots are on the next ball, open ones not, bars are missed pots. */
export function CloudMark({ landings, confidence }: CloudMarkProps) {
  const projection = useProjection();
  const unit = Math.max(projection.width, projection.height) / 1000;
  const r = 2.4 * unit;
  return (
    <g stroke={colour('indigo')} strokeWidth={0.9 * unit} opacity={0.75}>
      {landings.map(({ outcome, landing, next }, i) => {
        if (outcome === 'in-off' || outcome === 'lost') return null;
        const [x, y] = projection.toDrawing(landing);
        if (outcome === 'missed') return <path key={i} d={`M${x - r} ${y}H${x + r}`} opacity={0.6} />;
        return <circle key={i} cx={x} cy={y} r={r} fill={next >= confidence ? colour('indigo') : 'none'} />;
      })}
    </g>
  );
}
