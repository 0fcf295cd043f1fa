import { Bar, BarChart, CartesianGrid, Legend, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { MonthSums } from '../../core/records/progress.ts';
import { addSums } from '../../core/scoring/roundSums.ts';
import { monthName } from '../words/dates.ts';
import { colour, TEXT_FONT } from '../theme.ts';

/** Causes that stand apart; the others are one. */
const SHOWN = 4;
const FILLS = [colour('indigo'), colour('teal'), colour('gold'), colour('coral'), colour('line')] as const;

/** How often each cause was noted, month by month, the most frequent at the bottom. */
export default function CausesChart({ months }: { readonly months: readonly MonthSums[] }) {
  const total = addSums(months.map(({ sums }) => sums)).causes;
  const named = total.slice(0, SHOWN).map(({ cause }) => cause);
  const data = months.map(({ month, sums }) => {
    const counts = new Map<string, number>();
    for (const { cause, count } of sums.causes) {
      const key = named.includes(cause) ? cause : 'others';
      counts.set(key, (counts.get(key) ?? 0) + count);
    }
    return { month: monthName(month), ...Object.fromEntries(counts) };
  });
  const shown = total.length > SHOWN ? [...named, 'others'] : named;
  const tick = { fill: colour('muted'), fontSize: 13, fontFamily: TEXT_FONT };
  return (
    <ResponsiveContainer>
      <BarChart data={data} margin={{ top: 8, right: 14, bottom: 0, left: -18 }}>
        <CartesianGrid vertical={false} stroke={colour('line')} />
        <XAxis dataKey="month" tick={tick} />
        <YAxis tick={tick} allowDecimals={false} />
        <Legend wrapperStyle={{ fontSize: 13 }} />
        {shown.map((cause, i) => (
          <Bar
            key={cause}
            dataKey={cause}
            stackId="causes"
            fill={FILLS[i] ?? colour('line')}
            stroke={colour('ink')}
            isAnimationActive={false}
          />
        ))}
      </BarChart>
    </ResponsiveContainer>
  );
}
