import { useId } from 'react';
import { cellAt, type ThumbMap } from '../../../core/shot/kicks/thumb/thumbMap.ts';
import { useProjection } from '../../table/context.ts';
import { colour } from '../../theme.ts';

/** What a rule comes to from a place: each is drawn its own way, so that they can be told apart in grey. */
type Verdict = 'meets' | 'long' | 'short' | 'lost';

function verdictOf(miss: number | null | undefined, reach: number): Verdict | undefined {
  if (miss === null) return undefined;
  if (miss === undefined) return 'lost';
  if (Math.abs(miss) < reach) return 'meets';
  return miss > 0 ? 'long' : 'short';
}

/** From where on the table a rule of thumb meets its ball, passes it long or short, or does not come round at all. */
export function ThumbMapMark({ map }: { readonly map: ThumbMap }) {
  const projection = useProjection();
  const { table } = projection;
  const id = useId();
  const half = { x: table.length / map.columns / 2, y: table.width / map.rows / 2 };
  const cells: Record<Verdict, string> = { meets: '', long: '', short: '', lost: '' };
  map.misses.forEach((miss, cell) => {
    const verdict = verdictOf(miss, 2 * table.preset.ballRadius);
    if (verdict === undefined) return;
    const { x, y } = cellAt(table, map, cell);
    const [u0, v0] = projection.toDrawing({ x: x - half.x, y: y - half.y });
    const [u1, v1] = projection.toDrawing({ x: x + half.x, y: y + half.y });
    cells[verdict] += `M${u0} ${v0}H${u1}V${v1}H${u0}Z`;
  });
  return (
    <g>
      <ThumbPatterns id={id} />
      <path d={cells.meets} fill={colour('gold')} fillOpacity={0.42} />
      <path d={cells.long} fill={`url(#${id}long)`} />
      <path d={cells.short} fill={`url(#${id}short)`} />
      <path d={cells.lost} fill={colour('ink')} fillOpacity={0.2} />
    </g>
  );
}

function ThumbPatterns({ id }: { readonly id: string }) {
  return (
    <defs>
      <pattern
        id={`${id}long`}
        width={36}
        height={36}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width={11} height={36} fill={colour('indigo')} fillOpacity={0.75} />
      </pattern>
      <pattern id={`${id}short`} width={34} height={34} patternUnits="userSpaceOnUse">
        <circle cx={17} cy={17} r={9} fill={colour('coral')} fillOpacity={0.9} />
      </pattern>
    </defs>
  );
}

/** The key to the map. */
export function ThumbMapKey() {
  const id = useId();
  const sample = (fill: string, opacity = 1) => (
    <svg width={34} height={16} viewBox="0 0 150 72" aria-hidden>
      <ThumbPatterns id={id} />
      <rect width={150} height={72} fill="var(--jr-cloth)" />
      <rect width={150} height={72} fill={fill} fillOpacity={opacity} />
    </svg>
  );
  return (
    <ul className="thumb-key" aria-label="Key to the map">
      <li>{sample(colour('gold'), 0.42)} meets the ball</li>
      <li>{sample(`url(#${id}long)`)} passes it long</li>
      <li>{sample(`url(#${id}short)`)} passes it short</li>
      <li>{sample(colour('ink'), 0.2)} does not come round</li>
    </ul>
  );
}
