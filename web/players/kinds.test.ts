import { expect, it } from 'vitest';
import type { Round } from '../../core/records/club.ts';
import { kindsOf } from './kinds.ts';
import { comparableRounds, pointsOf, roundsOnUnlikeTables } from './rounds.ts';

function table(id: string, fingerprint: string): Round['table'] {
  return { id, name: id, preset: 'pool-9ft', revision: 1, conditionsId: null, fingerprint };
}

function round(change: Partial<Round>): Round {
  return {
    id: 'r',
    player: { id: 'p', name: 'P', hand: 'right' },
    table: table('t', 'as it ships'),
    drill: 'harbour-turn',
    ownDrill: false,
    revision: 1,
    stage: 1,
    shots: 2,
    startedAt: '2026-11-01T18:00:00Z',
    endedAt: '2026-11-01T18:20:00Z',
    early: false,
    attempts: [1, 2].map((ordinal) => ({
      id: String(ordinal),
      ordinal,
      outcome: 'missed',
      landing: null,
      points: ordinal,
      along: null,
      across: null,
      playedAt: '2026-11-01T18:00:00Z',
    })),
    ...change,
  };
}

it('rounds of another revision, stage, table or evening, and rounds cut short, are not compared', () => {
  const all = [
    round({ id: 'same' }),
    round({ id: 'revision', revision: 2 }),
    round({ id: 'stage', stage: 2 }),
    round({ id: 'table', table: table('s', 'fast cloth') }),
    round({ id: 'tonight', table: table('t', 'damp tonight') }),
    round({ id: 'short', attempts: [] }),
    round({ id: 'twin table', table: table('u', 'as it ships') }),
  ];
  expect(comparableRounds(all, round({})).map((each) => each.id)).toEqual(['same', 'twin table']);
  expect(roundsOnUnlikeTables(all, round({})).map((each) => each.id)).toEqual(['table', 'tonight']);
  expect(pointsOf(round({}).attempts)).toBe(3);
});

it('the kinds stand with the one played last first, an old revision marked', () => {
  const kinds = kindsOf([round({}), round({ stage: 2 }), round({}), round({ revision: 2 })]);
  expect(kinds.map(({ stage, revision, rounds, newest }) => [stage, revision, rounds, newest])).toEqual([
    [1, 2, 1, true],
    [1, 1, 2, false],
    [2, 1, 1, false],
  ]);
});
