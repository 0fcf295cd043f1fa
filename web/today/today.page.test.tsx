import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, screen, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { drillsQuery } from '../api/drills.ts';
import { nextDrillsQuery } from '../api/players.ts';
import { programmeQuery, programmesQuery, proposalsQuery } from '../api/programmes.ts';
import { emptyPage, show } from '../testing/page.tsx';
import { item, programme } from '../testing/programme.ts';
import { round } from '../testing/round.ts';
import { Homework } from './Homework.tsx';
import { OwnGame } from './OwnGame.tsx';
import { PlansWaiting } from './PlansWaiting.tsx';
import { Waiting } from './Waiting.tsx';

/** On a Wednesday. */
const NOW = new Date(2026, 10, 25, 12);
const fetching = vi.fn(() => Promise.reject(new TypeError('nothing is asked of the server here')));

emptyPage();
beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date'] });
  vi.setSystemTime(NOW);
  vi.stubGlobal('fetch', fetching);
});
afterEach(() => vi.useRealTimers());

function showKnown(content: ReactNode, known: ReturnType<typeof programme>): void {
  const queries = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  queries.setQueryData(drillsQuery.queryKey, []);
  queries.setQueryData(programmesQuery.queryKey, [known.programme]);
  queries.setQueryData(programmeQuery('programme').queryKey, known);
  show(<QueryClientProvider client={queries}>{content}</QueryClientProvider>);
}

describe('the week’s practice of a student', () => {
  const week = programme(
    [
      item('scored', { day: '2026-11-24' }),
      item('ticked', { day: '2026-11-23', drill: 'frozen-pair' }),
      item('waits', { day: '2026-11-24', drill: 'far-shores', note: 'Slowly.' }),
      item('to come', { day: '2026-11-27', drill: 'anchor-drop', stage: 2 }),
      item('another week', { day: '2026-12-01', drill: 'two-fleets' }),
    ],
    {
      ticked: ['ticked'],
      rounds: [
        round({ id: 'r1', drill: 'harbour-turn', startedAt: new Date(2026, 10, 24, 18).toISOString() }),
      ],
    },
  );

  it('has the entries of this week in the order of their days, and no others', () => {
    showKnown(<Homework playerId="wren" />, week);
    const names = screen.getAllByText(/, 20 min$/).map((each) => each.textContent);
    expect(names.map((name) => name.split(',')[0])).toEqual([
      'frozen-pair',
      'harbour-turn',
      'far-shores',
      'anchor-drop',
    ]);
  });

  it('leads to the round that did an entry, and to a round for one that is open', () => {
    showKnown(<Homework playerId="wren" />, week);
    expect(screen.getByRole('link', { name: 'See the round' }).getAttribute('href')).toBe(
      '/lesson/rounds/r1',
    );
    expect(
      screen.getAllByRole('link', { name: 'Score a round' }).map((link) => link.getAttribute('href')),
    ).toEqual([
      '/lesson/round?drill=far-shores&stage=1&player=wren',
      '/lesson/round?drill=anchor-drop&stage=2&player=wren',
    ]);
    expect(screen.getByText('Tuesday, waits: Slowly.')).toBeDefined();
  });

  it('what was scored cannot be ticked off, the rest can', () => {
    showKnown(<Homework playerId="wren" />, week);
    const boxes = screen.getAllByRole<HTMLInputElement>('checkbox');
    expect(boxes.map((box) => [box.checked, box.disabled])).toEqual([
      [true, false],
      [false, false],
      // What is to come on Friday has not been done.
      [false, true],
    ]);
  });

  it('is left out where there is none', () => {
    showKnown(<Homework playerId="wren" />, programme([item('later', { day: '2026-12-01' })]));
    expect(screen.queryByRole('region')).toBeNull();
  });
});

it('a student’s own game has their progress, their own programmes and the calls', () => {
  showKnown(<OwnGame playerId="wren" lastAt={null} />, programme([]));
  const game = within(screen.getByRole('region', { name: 'Your game' }));
  expect(game.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual([
    '/players/wren',
    '/programmes/programme',
    '/lab/call',
  ]);
  expect(game.getByText('no round yet')).toBeDefined();
  cleanup();
  showKnown(<OwnGame playerId="idris" lastAt={null} />, programme([]));
  expect(screen.queryByText('Towards the winter')).toBeNull();
});

describe('what a coach has to do', () => {
  const player = {
    id: 'wren',
    name: 'Wren',
    hand: 'right' as const,
    archived: false,
    rounds: 3,
    hasSignIn: false,
    mayRewrite: false,
  };

  it('lists the plans that wait for a word, and leaves out those that do not', () => {
    const known = programme([item('coming', { day: '2026-11-27' })]);
    const quiet = { ...known.programme, id: 'quiet', player: { ...known.programme.player, name: 'Pim' } };
    const queries = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
    queries.setQueryData(programmesQuery.queryKey, [known.programme, quiet]);
    const proposal = { key: 'k', kind: 'up' as const, drill: 'harbour-turn', shown: null, changes: [] };
    queries.setQueryData(proposalsQuery(known.programme.id).queryKey, {
      proposals: [proposal, { ...proposal, key: 'l' }],
      version: 1,
      answers: [],
    });
    queries.setQueryData(proposalsQuery('quiet').queryKey, { proposals: [], version: 1, answers: [] });
    show(
      <QueryClientProvider client={queries}>
        <PlansWaiting />
      </QueryClientProvider>,
    );
    const links = screen.getAllByRole('link');
    expect(links.map((link) => link.getAttribute('href'))).toEqual([`/programmes/${known.programme.id}`]);
    expect(within(screen.getByRole('region')).getByText('2 proposals')).toBeDefined();
    expect(screen.queryByText('Pim')).toBeNull();
  });

  it('says what who has waited longest would gain most by', () => {
    const queries = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
    queries.setQueryData(drillsQuery.queryKey, []);
    queries.setQueryData(nextDrillsQuery('wren').queryKey, [
      {
        drill: 'harbour-turn',
        stage: 1,
        skill: 'run-out' as const,
        behind: 12,
        isSurelyBehind: true,
        shows: null,
        restDays: 9,
        course: null,
      },
    ]);
    show(
      <QueryClientProvider client={queries}>
        <Waiting players={[{ ...player, lastRoundAt: new Date(2026, 10, 16).toISOString() }]} />
      </QueryClientProvider>,
    );
    expect(screen.getByText('due for run-out: harbour-turn')).toBeDefined();
  });
});
