import { positionAt } from '../../../core/motion/path.ts';
import type { RackKind } from '../../../core/rack/rack.ts';
import type { TablePreset } from '../../../core/table/preset.ts';
import type { Opening } from '../../../core/virtual/breaks/opening.ts';
import { colour } from '../../theme.ts';
import { rackFrame } from './rackFrame.ts';

/** Round the rack, ball radii: room for the cue ball and for what moves away. */
const MARGIN = 3;

interface OpeningPictureProps {
  readonly kind: RackKind;
  readonly preset: TablePreset;
  readonly opening: Opening;
  /** Seconds since the first contact. */
  readonly after: number;
  /** What a ball is called. */
  readonly nameOf: (id: string) => string;
}

/** The rack some fractions of a millisecond after the hit: where the balls are, and which of them press each other. */
export function OpeningPicture({ kind, preset, opening, after, nameOf }: OpeningPictureProps) {
  const { width, height, at } = rackFrame(kind, preset, MARGIN);
  const { result, hit = 0, contacts } = opening;
  const places = new Map(
    result.paths?.map((path) => [path.id, at(positionAt(path, hit + after))] as const) ?? [],
  );
  const radius = preset.ballRadius;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      style={{ width: '100%', maxHeight: 250, overflow: 'hidden' }}
      role="img"
      aria-label={`The rack ${(1_000 * after).toFixed(2)} milliseconds after the first contact`}
    >
      {[...places].map(([id, [x, y]]) => (
        <g key={id}>
          <circle
            cx={x}
            cy={y}
            r={id === 'cue' ? preset.cueBallRadius : radius}
            fill={id === 'cue' ? colour('cloth') : colour('surface')}
            stroke={colour('ink')}
            strokeWidth={radius / 14}
          />
          <text x={x} y={y + radius / 5} fontSize={radius * 0.6} textAnchor="middle" fill={colour('muted')}>
            {id === 'cue' ? '' : nameOf(id)}
          </text>
        </g>
      ))}
      {contacts.map(({ after: from, until, ids: [a, b] }) => {
        const [one, other] = [places.get(a), places.get(b)];
        if (one === undefined || other === undefined || after < from || after > until) return null;
        return (
          <circle
            key={`${a} ${b} ${from}`}
            cx={(one[0] + other[0]) / 2}
            cy={(one[1] + other[1]) / 2}
            r={radius * 0.32}
            fill={colour('coral')}
          />
        );
      })}
    </svg>
  );
}
