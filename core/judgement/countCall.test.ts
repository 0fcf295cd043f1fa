import { describe, expect, it } from 'vitest';
import { countCalls } from '../counting/callIt.ts';
import { buildTable } from '../table/table.ts';
import { countedCall } from './countCall.ts';
import { poseFromSeed } from './pose.ts';

const table = buildTable('pool-9ft');

describe('a call as a round counts it', () => {
  it('is right when the verdict is the computed one, and only then', () => {
    const question = poseFromSeed(table, 'does it pass', 'plain', 4);
    if (question?.kind !== 'does it pass') throw new Error('no position');
    const called = (verdict: 'yes' | 'no' | 'too close') =>
      countCalls([countedCall(question, { kind: 'verdict', verdict })], { positions: 1 }).value;
    expect(called(question.truth)).toBe(1);
    expect(called(question.truth === 'yes' ? 'no' : 'yes')).toBe(0);
    expect(called('too close')).toBe(0);
  });

  it('takes a length within three tenths as near enough', () => {
    const question = poseFromSeed(table, 'how long is the window', 'plain', 4);
    if (question?.kind !== 'how long is the window') throw new Error('no position');
    const counted = (share: number) =>
      countedCall(question, { kind: 'length', metres: question.truth * share });
    expect(counted(0.75).called).toBe('near enough');
    expect(counted(0.6).called).toBe('off');
    expect(counted(1.4).called).toBe('near enough');
    expect(counted(1.5).called).toBe('off');
  });

  it('takes the true way as near enough and one across the table as off', () => {
    const question = poseFromSeed(table, 'draw the path', 'plain', 4);
    if (question?.kind !== 'draw the path') throw new Error('no position');
    expect(countedCall(question, { kind: 'path', points: question.truth }).called).toBe('near enough');
    const far = question.truth.map(({ x, y }) => ({ x: 2.54 - x, y: 1.27 - y }));
    expect(countedCall(question, { kind: 'path', points: far }).called).toBe('off');
  });
});
