import { describe, expect, it } from 'vitest';
import { isAskedLeave, leaveAsked, leaveGrade } from './leaveGrade.ts';

describe('a leave', () => {
  it('is graded by what an opponent makes of it', () => {
    expect([0, 0.24, 0.25, 0.59, 0.6, 1].map(leaveGrade)).toEqual([
      'nothing on',
      'nothing on',
      'half a chance',
      'half a chance',
      'wide open',
      'wide open',
    ]);
  });

  it('is what a drill asks for, or not', () => {
    const open = { leave: 'nothing on', hidden: false } as const;
    expect(isAskedLeave('nothing on', open)).toBe(true);
    expect(isAskedLeave('hidden', open)).toBe(false);
    expect(isAskedLeave('hidden', { leave: 'half a chance', hidden: true })).toBe(true);
    expect(isAskedLeave('nothing on', { leave: 'half a chance', hidden: true })).toBe(false);
  });

  it('is anything after a kick and nothing on after a safety, where the drill does not say', () => {
    expect(leaveAsked({ kind: 'kick' })).toBeUndefined();
    expect(leaveAsked({ kind: 'safety' })).toBe('nothing on');
    expect(leaveAsked({ kind: 'safety', leave: 'hidden' })).toBe('hidden');
    expect(leaveAsked({ kind: 'kick', leave: 'hidden' })).toBe('hidden');
  });
});
