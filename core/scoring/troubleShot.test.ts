import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../player/levels.ts';
import { BLANK_SHOT, type LoggedShot } from '../records/loggedShot.ts';
import { drillSchema } from '../records/drill.ts';
import { ball, POOL } from '../testing/balls.ts';
import { drillFromTrouble, troubleShot } from './troubleShot.ts';

const error = executionErrorOf('team', 'pool');
/** The 1 before the foot right pocket, the 2 before the head left one, the 3 in the middle of the head cushion's half. */
const balls = [ball('1', 2.3, 0.2), ball('2', 0.25, 1.05), ball('3', 0.5, 0.5)];
const cue = { x: 1.9, y: 0.35 };
const shot = (about: Partial<LoggedShot>): LoggedShot => ({ ...BLANK_SHOT, ...about });

describe('the shot that began the trouble', () => {
  it('is the failed one itself when it was easy', () => {
    const trouble = troubleShot(POOL, { balls, cue }, [shot({ ball: '1', pocket: 'foot-right' })], error);
    expect(trouble).toMatchObject({ shot: 1, failed: 1, ball: '1', pocket: 'foot-right', next: undefined });
    expect(trouble?.chance).toBeGreaterThan(0.8);
  });

  it('is the shot that left the cue ball where the next ball was hardly on', () => {
    const shots = [
      shot({ ball: '1', pocket: 'foot-right', potted: ['1'], landing: { x: 1, y: 0.9 } }),
      // A thin cut of two metres back to the head left pocket.
      shot({ ball: '2', pocket: 'head-left', potted: ['2'], landing: { x: 2.45, y: 0.63 } }),
      shot({ ball: '3', pocket: 'head-right' }),
    ];
    const trouble = troubleShot(POOL, { balls, cue }, shots, error);
    expect(trouble).toMatchObject({
      shot: 2,
      failed: 3,
      ball: '2',
      next: { ball: '3', pocket: 'head-right' },
    });
    expect(trouble?.chanceFailed).toBeLessThan(0.6);
    expect(trouble?.balls.map(({ id }) => id)).toEqual(['2', '3']);
    expect(trouble?.cue).toEqual({ x: 1, y: 0.9 });
  });

  it('is not made up where the landings were not marked, or where nothing failed', () => {
    const unmarked = [shot({ ball: '1', potted: ['1'] }), shot({ ball: '2' })];
    expect(troubleShot(POOL, { balls, cue }, unmarked, error)).toBeUndefined();
    const cleared = [shot({ ball: '1', potted: ['1'] })];
    expect(troubleShot(POOL, { balls, cue }, cleared, error)).toBeUndefined();
  });

  it('becomes a drill that a file may hold, with the position filled in', () => {
    const shots = [
      shot({ ball: '1', pocket: 'foot-right', potted: ['1'], landing: { x: 2.45, y: 0.63 } }),
      shot({ ball: '3', pocket: 'head-right' }),
    ];
    const trouble = troubleShot(POOL, { balls, cue }, shots, error);
    if (trouble === undefined) throw new Error('no trouble');
    const drill = drillFromTrouble(POOL, trouble, { title: 'Moored' });
    expect(drill.task).toMatchObject({
      kind: 'position',
      pot: '1',
      next: { ball: '3', pocket: 'head-right' },
    });
    expect(drill.balls.map(({ id }) => id)).toEqual(['cue', '1', '2', '3']);
    expect(drill.balls[0]?.at).toEqual({ share: { along: 0.748, across: 0.2756 } });
    expect(drill.slug).toBe('moored-the-1');
    expect(drillSchema.isValidSync(drill)).toBe(true);
    // Where the trouble shot was the last, another ball that lies open comes next.
    const alone = drillFromTrouble(POOL, { ...trouble, next: undefined }, { title: 'Moored' });
    expect(alone.task).toMatchObject({ kind: 'position', pot: '1', next: { ball: '2' } });
  });
});
