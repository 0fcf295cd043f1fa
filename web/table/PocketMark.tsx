import type { PocketName } from '../../core/table/pockets.ts';
import { colour } from '../theme.ts';
import { useProjection } from './context.ts';
import { NameOfPocket } from './PocketNames.tsx';

/** A pocket that the words beside the drawing talk of: ringed, its name beside it. */
export function PocketMark({ name }: { readonly name: PocketName }) {
  const projection = useProjection();
  const pocket = projection.table.pockets.find((each) => each.name === name);
  if (pocket === undefined) return null;
  const [cx, cy] = projection.toDrawing(pocket.drop);
  return (
    <g data-testid={`pocket ${name}`}>
      <circle
        cx={cx}
        cy={cy}
        r={1_000 * pocket.radius - 8}
        fill="none"
        stroke={colour('gold')}
        strokeWidth={14}
      />
      <NameOfPocket name={name} />
    </g>
  );
}
