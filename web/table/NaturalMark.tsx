import { placeFrom } from '../../core/motion/marks.ts';
import type { NaturalPath } from '../../core/shot/naturalPath.ts';
import { colour } from '../theme.ts';
import { useProjection } from './context.ts';
import { Halo } from './marks.tsx';
import { pathText } from './projection.ts';

/** How long the two ways are drawn, metres. */
const REACH = 0.32;

/** Where the cue ball goes if left alone: rolling, and along the tangent when it is stunned. */
export function NaturalMark({ path }: { readonly path: NaturalPath }) {
  const projection = useProjection();
  const unit = Math.max(projection.width, projection.height) / 1000;
  const ways = [
    { name: 'roll', angle: path.rolling },
    { name: 'stun', angle: path.stun },
  ];
  return (
    <g
      fill="none"
      stroke={colour('teal')}
      strokeWidth={1.8 * unit}
      strokeDasharray={`${6 * unit} ${5 * unit}`}
    >
      {ways.map(({ name, angle }) => {
        const end = placeFrom(path.contact, angle, REACH);
        const [x, y] = projection.toDrawing(end);
        return (
          <g key={name}>
            <path d={pathText(projection, [path.contact, end])} />
            <Halo x={x} y={y} size={12 * unit} text={name} middle />
          </g>
        );
      })}
    </g>
  );
}
