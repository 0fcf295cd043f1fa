import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { Entered } from '../../../core/records/entered.ts';
import { drillSchema } from '../../../core/records/drill.ts';
import { keyWord } from '../../controls/padAction.ts';
import { quickActions } from './quickActions.ts';

function padOf(slug: string, balls: number) {
  const drill = drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));
  const entered: Entered[] = [];
  const actions = quickActions(drill, balls, (each) => entered.push(each));
  return { actions, entered };
}

describe('the result of a clearance in one press', () => {
  it('is cleared or not where nothing else counts', () => {
    const { actions, entered } = padOf('break-the-ice', 5);
    expect(actions.map(({ label }) => label)).toEqual(['Cleared', 'Not cleared']);
    for (const { run } of actions) run();
    expect(entered).toMatchObject([
      { done: true, balls: 5 },
      { done: false, balls: null },
    ]);
  });

  it('is a number of balls where those count, each with a key of its own', () => {
    const { actions, entered } = padOf('two-fleets', 7);
    expect(actions.map(({ key }) => key)).toEqual([' ', '0', '1', '2', '3', '4', '5', '6']);
    actions[4]?.run();
    expect(entered).toMatchObject([{ done: false, balls: 3, penalty: 0 }]);
    const many = padOf('two-fleets', 15).actions.map(({ key }) => key);
    expect(new Set(many).size).toBe(many.length);
    // The keys of the whole screen stay what they are.
    for (const key of many.slice(1)) expect('xfureq?').not.toContain(key);
  });

  it('is typed where points count', () => {
    expect(padOf('red-street', 13).actions).toEqual([]);
  });

  it('shows its keys as they are printed', () => {
    expect([' ', 'x', 'Enter', '7'].map(keyWord)).toEqual(['Space', 'X', 'Enter', '7']);
  });
});
