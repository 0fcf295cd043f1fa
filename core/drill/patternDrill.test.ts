import { describe, expect, it } from 'vitest';
import { drillSchema } from '../records/drill.ts';
import { executionErrorOf } from '../player/levels.ts';
import { RACK_QUALITIES } from '../rack/rackers.ts';
import { buildTable } from '../table/table.ts';
import { FROM_THE_RAIL } from '../testing/breakStroke.ts';
import { studyBreak, type BreakQuestion } from '../virtual/breaks/breakStudy.ts';
import { leftBy, leftPatterns } from '../virtual/breaks/leftPatterns.ts';
import { layOut } from './layout.ts';
import { patternDrill } from './patternDrill.ts';
import { problemsOf } from './problems.ts';
import { atStage } from './stage.ts';

const table = buildTable('pool-9ft');

describe.each(['nine', 'eight'] as const)('a drill of what a break of %s leaves', (kind) => {
  const question: BreakQuestion = {
    table,
    rack: { kind, quality: RACK_QUALITIES.template },
    stroke: FROM_THE_RAIL,
    error: executionErrorOf('match', 'pool'),
    breaks: 60,
    seed: 6,
  };
  const { patterns } = leftPatterns(kind, studyBreak(question).played, 3);
  const stages = patterns.map(({ number }, i) => ({
    title: `Table ${i + 1}`,
    balls: leftBy(question, number),
  }));
  const drill = patternDrill('pool-9ft', kind, stages);

  it('can be written, read and played, at every stage', () => {
    expect(drillSchema.validateSync(JSON.parse(JSON.stringify(drill)))).toEqual(drill);
    expect(problemsOf(drill)).toEqual([]);
    expect(drill.stages).toHaveLength(3);
  });

  it('has each table as it was left', () => {
    stages.forEach(({ balls }, i) => {
      const laid = layOut(atStage(drill, i + 1), table.preset);
      const sorted = (all: readonly { readonly id: string; readonly x: number; readonly y: number }[]) =>
        all.map(({ id, x, y }) => `${id} ${x} ${y}`).sort();
      expect(sorted(laid)).toEqual(sorted(balls));
    });
  });

  it('is cleared by the rules of its game', () => {
    if (drill.task.kind !== 'clear') throw new Error('another task');
    expect(drill.task.order.kind).toBe(kind === 'nine' ? 'rotation' : 'suits');
  });
});

it('of no table is refused', () => {
  expect(() => patternDrill('pool-9ft', 'nine', [])).toThrow('at least one');
});
