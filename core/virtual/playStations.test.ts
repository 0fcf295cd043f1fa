import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { drillSchema, type Drill } from '../records/drill.ts';
import { buildTable } from '../table/table.ts';
import { virtualRounds, wholeRound } from './playRound.ts';

const base = drillSchema.validateSync(JSON.parse(readFileSync('library/one-bounce.drill.json', 'utf8')));
const at = (along: number, across: number) => ({ diamonds: { along, across } });

/** By any way to the 1: from half a diamond away, then from a corner with the 8 in front of the cue ball. */
const drill: Drill = {
  ...base,
  task: { kind: 'kick', target: '1', cushions: [] },
  conditions: [],
  balls: [
    { id: 'cue', at: at(3.5, 2) },
    { id: '1', at: at(4, 2) },
    { id: '8', at: at(0.72, 0.58) },
  ],
  stations: [at(3.5, 2), at(0.4, 0.4)],
};

it('a virtual player goes through the stations of a kick in turn, each with a plan of its own', () => {
  const rounds = virtualRounds(drill, { stage: 1, ladderStart: 0 }, buildTable('pool-9ft'), 'first season');
  const misses = [0, 0];
  for (const seed of [1, 2, 3, 4]) {
    wholeRound(rounds, seed).attempts.forEach(({ grade }, i) => {
      if (grade === 'miss') misses[i % 2] = (misses[i % 2] ?? 0) + 1;
    });
  }
  // Nobody misses a ball that lies thirty centimetres off; out of the corner a beginner often does.
  expect(misses[0]).toBe(0);
  expect(misses[1]).toBeGreaterThan(0);
  // But there is a way, and it is planned.
  expect(misses[1]).toBeLessThan(15);
});
