import type { Benchmark } from '../../core/records/benchmark.ts';
import { scoreBands } from '../../core/scoring/benchmark.ts';
import { colour, TEXT_FONT } from '../theme.ts';

export interface ScaleMark {
  readonly value: number;
  readonly text: string;
  readonly kind: 'now' | 'best' | 'last';
}

interface LevelScaleProps {
  readonly benchmark: Benchmark;
  readonly maximum: number;
  readonly marks?: readonly ScaleMark[];
}

/** The first word says which level it is. */
function shortName(level: string): string {
  return level.split(' ')[0] ?? level;
}

const WIDTH = 300;
const BAR = { y: 34, height: 22 };
const DEPTHS = [0.06, 0.14, 0.24, 0.36, 0.5] as const;

/** The scores from none to all on one bar, with the stretch of each level; rounds are marked on it. */
export function LevelScale({ benchmark, maximum, marks = [] }: LevelScaleProps) {
  const at = (score: number) => (WIDTH * Math.min(score, maximum)) / maximum;
  const bands = scoreBands(benchmark, maximum);
  const now = marks.find((mark) => mark.kind === 'now');
  const text = { fontFamily: TEXT_FONT, fontSize: 12, fill: colour('ink') };
  const describe = [
    ...bands.map((band) => `${band.level} from ${Math.round(band.from)}`),
    ...marks.map((mark) => mark.text),
  ].join(', ');
  return (
    <svg
      viewBox={now === undefined ? `-2 ${BAR.y - 6} ${WIDTH + 4} 50` : `-2 0 ${WIDTH + 4} 92`}
      role="img"
      aria-label={`Levels: ${describe}`}
      width="100%"
    >
      {bands.map((band, i) => (
        <g key={band.level}>
          <rect
            x={at(band.from)}
            y={BAR.y}
            width={Math.max(0, at(band.to) - at(band.from))}
            height={BAR.height}
            fill={colour('indigo')}
            fillOpacity={DEPTHS[i] ?? 0.5}
            stroke={colour('ink')}
            strokeOpacity={0.35}
          />
          {at(band.to) - at(band.from) > 7 * shortName(band.level).length && (
            <text
              {...text}
              x={(at(band.from) + at(band.to)) / 2}
              y={BAR.y + BAR.height + 14}
              textAnchor="middle"
            >
              {shortName(band.level)}
            </text>
          )}
        </g>
      ))}
      {marks
        .filter((mark) => mark.kind !== 'now')
        .map((mark) => (
          <g key={mark.kind}>
            <path
              d={`M${at(mark.value)} ${BAR.y - 4}V${BAR.y + BAR.height + 4}`}
              stroke={colour('ink')}
              strokeWidth={2.4}
              strokeDasharray={mark.kind === 'last' ? '4 3' : undefined}
            />
            <text
              {...text}
              x={Math.min(
                WIDTH - (mark.kind === 'best' ? 24 : 78),
                Math.max(mark.kind === 'best' ? 78 : 24, at(mark.value)),
              )}
              y={BAR.y + BAR.height + 30}
              textAnchor="middle"
            >
              {mark.text}
            </text>
          </g>
        ))}
      {now !== undefined && (
        <g>
          <path
            d={`M${at(now.value)} ${BAR.y - 12}l7 12l-7 12l-7 -12Z`}
            fill={colour('coral')}
            stroke={colour('ink')}
          />
          <text
            {...text}
            fontWeight={700}
            x={Math.min(WIDTH - 50, Math.max(50, at(now.value)))}
            y={14}
            textAnchor="middle"
          >
            {now.text}
          </text>
        </g>
      )}
    </svg>
  );
}
