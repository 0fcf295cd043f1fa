import { rackBalls, type RackKind } from '../../../core/rack/rack.ts';
import { rackContacts, type RackGap } from '../../../core/rack/drawnRack.ts';
import type { TablePreset } from '../../../core/table/preset.ts';
import { colour } from '../../theme.ts';
import { rackFrame } from './rackFrame.ts';
import { fineLength, fineUnit, numberIn } from '../../words/lengths.ts';

/** What a tap on a contact makes of its gap, by turns, millimetres. */
const GAPS_MM = [0, 0.1, 0.3, 0.6];

interface RackPictureProps {
  readonly kind: RackKind;
  readonly preset: TablePreset;
  readonly gaps: readonly RackGap[];
  readonly onChange: (gaps: readonly RackGap[]) => void;
}

const mmOf = (gap: RackGap | undefined) => Math.round(10_000 * (gap?.gap ?? 0)) / 10;

/** The rack from above, the breaker at the bottom: a tap between two balls opens a gap there. */
export function RackPicture({ kind, preset, gaps, onChange }: RackPictureProps) {
  const balls = rackBalls(kind, preset);
  const radius = preset.ballRadius;
  const { width, height, at } = rackFrame(kind, preset);
  const gapOf = ([a, b]: readonly [number, number]) =>
    gaps.find(({ between }) => between[0] === a && between[1] === b);
  const open = (pair: readonly [number, number]) => {
    const now = GAPS_MM.indexOf(mmOf(gapOf(pair)));
    const next = GAPS_MM[(now + 1) % GAPS_MM.length] ?? 0;
    const others = gaps.filter((gap) => gap !== gapOf(pair));
    onChange(next === 0 ? others : [...others, { between: pair, gap: next / 1_000 }]);
  };
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      style={{ width: '100%', maxHeight: 230, marginTop: 8 }}
      role="group"
      aria-label="The rack, the breaker below"
    >
      {balls.map((ball, place) => {
        const [x, y] = at(ball);
        return (
          <g key={place}>
            <circle
              cx={x}
              cy={y}
              r={radius}
              fill={colour('surface')}
              stroke={colour('ink')}
              strokeWidth={radius / 14}
            />
            <text x={x} y={y + radius / 5} fontSize={radius * 0.6} textAnchor="middle" fill={colour('muted')}>
              {place + 1}
            </text>
          </g>
        );
      })}
      {rackContacts(kind, preset).map((pair) => {
        const [a, b] = [balls[pair[0]], balls[pair[1]]];
        if (a === undefined || b === undefined) return null;
        const [x, y] = at({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
        const mm = mmOf(gapOf(pair));
        return (
          <g
            key={pair.join()}
            role="button"
            tabIndex={0}
            aria-label={`Between ball ${pair[0] + 1} and ball ${pair[1] + 1}: ${mm === 0 ? 'touching' : `${fineLength(mm / 1_000)} apart`}`}
            style={{ cursor: 'pointer' }}
            onClick={() => open(pair)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' && event.key !== ' ') return;
              event.preventDefault();
              open(pair);
            }}
          >
            <circle cx={x} cy={y} r={radius * 0.42} fill="transparent" />
            <circle
              cx={x}
              cy={y}
              r={radius * (mm === 0 ? 0.12 : 0.3)}
              fill={mm === 0 ? colour('muted') : colour('coral')}
            />
            {mm > 0 && (
              <text
                x={x}
                y={y + radius * 0.1}
                fontSize={radius * 0.34}
                textAnchor="middle"
                fill={colour('surface')}
              >
                {numberIn(fineUnit(), mm / 1_000)}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
