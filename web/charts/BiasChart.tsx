import {
  CartesianGrid,
  ErrorBar,
  Legend,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import type { MonthSums } from '../../core/records/progress.ts';
import { meanLanding } from '../../core/scoring/roundSums.ts';
import { Z_90 } from '../../core/statistics/wilson.ts';
import { monthName } from '../words/dates.ts';
import { colour, TEXT_FONT } from '../theme.ts';
import { shortUnit } from '../words/lengths.ts';

/** The mean landing error of each month, long and left of the plan upwards, with its 90 % interval. */
export default function BiasChart({ months }: { readonly months: readonly MonthSums[] }) {
  const unit = shortUnit();
  const shown = (metres: number) => Number((metres * unit.scale).toFixed(1));
  const data = months.flatMap(({ month, sums }) => {
    const bias = meanLanding(sums.landings, Z_90);
    if (bias === undefined) return [];
    return [
      {
        month: monthName(month),
        along: shown(bias.along.mean),
        alongMargin: shown(bias.along.margin),
        across: shown(bias.across.mean),
        acrossMargin: shown(bias.across.margin),
      },
    ];
  });
  const tick = { fill: colour('muted'), fontSize: 13, fontFamily: TEXT_FONT };
  return (
    <ResponsiveContainer>
      <LineChart data={data} margin={{ top: 8, right: 14, bottom: 0, left: -18 }}>
        <CartesianGrid vertical={false} stroke={colour('line')} />
        <XAxis dataKey="month" tick={tick} />
        <YAxis tick={tick} unit={` ${unit.unit}`} width={78} />
        <ReferenceLine y={0} stroke={colour('ink')} />
        <Legend wrapperStyle={{ fontSize: 13 }} />
        <Line
          dataKey="along"
          name="long (+) or short (−)"
          stroke={colour('indigo')}
          strokeWidth={2}
          isAnimationActive={false}
        >
          <ErrorBar dataKey="alongMargin" stroke={colour('indigo')} width={5} />
        </Line>
        <Line
          dataKey="across"
          name="left (+) or right (−)"
          stroke={colour('teal')}
          strokeWidth={2}
          strokeDasharray="5 3"
          isAnimationActive={false}
        >
          <ErrorBar dataKey="acrossMargin" stroke={colour('teal')} width={5} />
        </Line>
      </LineChart>
    </ResponsiveContainer>
  );
}
