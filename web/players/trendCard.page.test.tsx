import { screen, within } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import type { RoundResult } from '../../core/counting/result.ts';
import type { Benchmark } from '../../core/records/benchmark.ts';
import type { RoundHead } from '../../core/records/round.ts';
import { LEVEL_NAMES } from '../../core/player/levels.ts';
import { emptyPage, show } from '../testing/page.tsx';
import { round } from '../testing/round.ts';
import { TrendCard } from '../charts/TrendCard.tsx';

interface Drawn {
  readonly best: number;
  readonly maximum: number;
  readonly bands: readonly { readonly level: string; readonly from: number; readonly to: number }[];
}
const drawn = vi.hoisted(() => vi.fn<(props: Drawn) => null>(() => null));
vi.mock('../charts/TrendChart.tsx', () => ({ default: drawn }));
emptyPage();

const lives: RoundResult = {
  value: 3,
  unit: 'lives',
  better: 'low',
  // None is the best there is.
  maximum: 0,
  complete: true,
  censored: false,
};
const points: RoundResult = { ...lives, unit: 'points', better: 'high', maximum: 30 };
const rounds = (result: RoundResult, ...values: readonly number[]): readonly RoundHead[] =>
  values.map((value, i) => round({ startedAt: `2026-11-0${i + 1}T18:00:00Z`, result: { ...result, value } }));

/** Level after level all rounds come to one score. */
function levelsAt(...scores: readonly number[]): Benchmark {
  return {
    executions: 200,
    wholeRounds: true,
    unit: 'points',
    better: 'high',
    levels: LEVEL_NAMES.map((level, i) => ({
      level,
      potted: null,
      round: [...Array<number>(scores[i] ?? 0).fill(0), 1],
    })),
  };
}

function card(of: readonly RoundHead[], benchmark: Benchmark | null | undefined, early = 0, unlike = 0) {
  show(<TrendCard title="Slack water" rounds={of} early={early} unlike={unlike} benchmark={benchmark} />);
  return within(screen.getByRole('region', { name: 'Slack water' }));
}
const figure = (name: string) => screen.getByTestId(`figure-${name}`).textContent;

it('of points: the most are the best, and the median is that of the last five', () => {
  card(rounds(points, 29, 4, 10, 12, 11, 13), null);
  // 4, 10, 11, 12, 13.
  expect(['best', 'last', 'median'].map(figure)).toEqual(['29', '13', '11']);
  screen.getByText('points of 30, 6 rounds');
});

it('of lives: the fewest are the best, also in the chart', async () => {
  card(rounds(lives, 4, 2, 9, 3), null);
  // Of 2, 3, 4, 9 the worse of the middle two was played as well.
  expect(['best', 'last', 'median'].map(figure)).toEqual(['2', '3', '4']);
  screen.getByText('lives, fewer is better, 4 rounds');
  await vi.waitFor(() => expect(drawn).toHaveBeenCalled());
  expect(drawn.mock.lastCall?.[0]).toMatchObject({ best: 2, maximum: 9 });
  screen.getByRole('figure', { name: '4 rounds over time, best 2' });
});

it('says what was left out', () => {
  card(rounds(points, 5), null, 2, 1);
  screen.getByText(/, 1 round; 2 ended early left out; 1 on tables that played otherwise left out$/);
});

it('places the last round, draws the levels, and keeps a line for it until the benchmark has come', async () => {
  const lines = (of: ReturnType<typeof card>) => of.getAllByText((_, each) => each?.tagName === 'P').length;
  const without = lines(card(rounds(points, 12), null));
  document.body.replaceChildren();
  const waiting = lines(card(rounds(points, 12), undefined));
  document.body.replaceChildren();
  drawn.mockClear();
  const placed = card(rounds(points, 12), levelsAt(2, 8, 14, 20, 26));
  placed.getByText(/^Last round: Between regular and team/);
  expect([waiting - without, lines(placed) - without]).toEqual([1, 1]);
  await vi.waitFor(() => expect(drawn).toHaveBeenCalled());
  // From half way between the levels' means to the next half way.
  expect(drawn.mock.lastCall?.[0].bands[1]).toEqual({ level: 'regular', from: 5, to: 11 });
});

it('has nothing to compare where every round was ended early', () => {
  show(<TrendCard title="Slack water" rounds={[]} early={3} unlike={0} benchmark={null} />);
  screen.getByText(/ended early, so there is nothing to compare/);
  expect(screen.queryByRole('figure')).toBeNull();
});
