import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceArea,
  ResponsiveContainer,
  Tooltip,
  usePlotArea,
  XAxis,
  YAxis,
} from 'recharts';
import { shortDay } from '../words/dates.ts';
import { colour, TEXT_FONT } from '../theme.ts';
import { spreadLabels } from './spreadLabels.ts';
import type { ScoreBand } from '../../core/scoring/benchmark.ts';

const DEPTHS = [0.04, 0.1, 0.17, 0.25, 0.34] as const;

interface DotProps {
  readonly cx?: number;
  readonly cy?: number;
  readonly value?: unknown;
  readonly best: number;
}

/** A round: a diamond, gold for the best. */
function RoundDot({ cx, cy, value, best }: DotProps) {
  if (cx === undefined || cy === undefined) return null;
  const isBest = value === best;
  return (
    <path
      d={`M${cx} ${cy - 8}l6 8l-6 8l-6 -8Z`}
      fill={isBest ? colour('gold') : colour('ink')}
      stroke={colour('ink')}
    />
  );
}

interface BandLabelsProps {
  readonly bands: readonly ScoreBand[];
  /** Ends of the scale. */
  readonly from: number;
  readonly to: number;
}

/** Between the lines of two labels, px. */
const LABEL_PX = 15;

/** The names of the levels beside their bands; where bands are narrow, moved apart. */
function BandLabels({ bands, from, to }: BandLabelsProps) {
  const area = usePlotArea();
  if (area === undefined) return null;
  const { x, y, width, height } = area;
  const yOf = (value: number) => y + height * (1 - (value - from) / (to - from));
  const middle = ({ from: low, to: high }: ScoreBand) => (yOf(low) + yOf(high)) / 2;
  const places = spreadLabels(bands.map(middle), LABEL_PX, [y + LABEL_PX / 2, y + height - LABEL_PX / 2]);
  return (
    <g>
      {bands.map((band, i) => (
        <text
          key={band.level}
          x={x + width + 6}
          y={places[i]}
          dominantBaseline="central"
          fontFamily={TEXT_FONT}
          fontSize={13}
          fill={colour('ink')}
        >
          {band.level}
        </text>
      ))}
    </g>
  );
}

interface TrendChartProps {
  /** Oldest first. */
  readonly rounds: readonly { readonly at: string; readonly value: number }[];
  readonly bands: readonly ScoreBand[];
  /** The best of the values: the highest, or the lowest where fewer is better. */
  readonly best: number;
  readonly unit: string;
  readonly maximum: number;
}

/** Rounds over time with the stretches of the levels behind them. */
export default function TrendChart({ rounds, bands, best, unit, maximum }: TrendChartProps) {
  const data = rounds.map(({ at, value }) => ({ at: new Date(at).getTime(), value }));
  const least = Math.min(0, ...data.map(({ value }) => value));
  const tick = { fill: colour('muted'), fontSize: 13, fontFamily: TEXT_FONT };
  return (
    <ResponsiveContainer>
      <LineChart data={data} margin={{ top: 6, right: 90, bottom: 4, left: -18 }}>
        {bands.map((band, i) => (
          <ReferenceArea
            key={band.level}
            y1={band.from}
            y2={band.to}
            fill={colour('indigo')}
            fillOpacity={DEPTHS[i] ?? 0.3}
            stroke="none"
          />
        ))}
        <BandLabels bands={bands} from={least} to={maximum} />
        <CartesianGrid vertical={false} stroke={colour('line')} />
        <XAxis
          dataKey="at"
          type="number"
          scale="time"
          domain={['dataMin', 'dataMax']}
          minTickGap={36}
          tickFormatter={shortDay}
          tick={tick}
        />
        <YAxis domain={[least, maximum]} tick={tick} allowDecimals={false} />
        <Tooltip
          labelFormatter={(label) => (typeof label === 'number' ? shortDay(label) : '')}
          contentStyle={{ background: colour('surface'), borderColor: colour('line') }}
        />
        <Line
          dataKey="value"
          name={unit}
          stroke={colour('muted')}
          strokeWidth={1.6}
          isAnimationActive={false}
          dot={<RoundDot best={best} />}
        />
      </LineChart>
    </ResponsiveContainer>
  );
}
