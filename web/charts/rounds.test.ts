import { attempt } from '../testing/attempt.ts';
import { expect, it } from 'vitest';
import { medianResult, resultText } from '../../core/counting/result.ts';
import type { Round } from '../../core/records/round.ts';
import { round } from '../testing/round.ts';
import { comparableRounds, otherVariants, roundsOnUnlikeTables } from './rounds.ts';

function table(id: string, fingerprint: string): Round['table'] {
  return { id, name: id, preset: 'pool-9ft', revision: 1, conditionsId: null, fingerprint };
}

it('rounds of another revision, stage, table or evening, and rounds cut short, are not compared', () => {
  const all = [
    round({ id: 'same' }),
    round({ id: 'revision', revision: 2 }),
    round({ id: 'stage', stage: 2 }),
    round({ id: 'table', table: table('s', 'fast cloth') }),
    round({ id: 'tonight', table: table('t', 'damp tonight') }),
    round({ id: 'short', result: { ...round({}).result, complete: false } }),
    round({ id: 'twin table', table: table('u', 'as it ships') }),
  ];
  expect(comparableRounds(all, round({})).map((each) => each.id)).toEqual(['same', 'twin table']);
  expect(roundsOnUnlikeTables(all, round({})).map((each) => each.id)).toEqual(['table', 'tonight']);
  expect(otherVariants(all, round({})).map((each) => each.id)).toEqual(['revision', 'stage']);
});

it('tries at a clearance that were given up count, as worse than as many', () => {
  const tries = { value: 4, unit: 'tries' as const, better: 'low' as const, maximum: 1 };
  const missed = attempt('a');
  const givenUp = round({
    id: 'given up',
    attempts: [missed],
    result: { ...tries, complete: false, censored: true },
  });
  const unplayed = round({
    id: 'unplayed',
    result: { ...tries, value: 0, complete: false, censored: true },
  });
  const cleared = round({ id: 'cleared', result: { ...tries, complete: true, censored: false } });
  const compared = comparableRounds([givenUp, unplayed, cleared], round({}));
  expect(compared.map(({ id }) => id)).toEqual(['given up', 'cleared']);
  expect(compared.map(({ result }) => resultText(result))).toEqual(['> 4', '4']);
  expect(medianResult(compared.map(({ result }) => result))).toBe(givenUp.result);
});
