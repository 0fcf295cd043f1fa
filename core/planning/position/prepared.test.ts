import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../../player/levels.ts';
import { chanceAt } from '../grid.ts';
import { buildTable } from '../../table/table.ts';
import { FINE_STEP, pocketsOf, prepare, ROUGH_STEP, solved, tableOf, windowFor } from './prepared.ts';
import type { PositionQuestion } from './question.ts';

const table = buildTable('pool-9ft');
const { ballRadius: radius, ballMass: mass } = table.preset;
const ballAt = (id: string, x: number, y: number) => ({ id, x, y, radius, mass });

const question = (over: Partial<PositionQuestion> = {}): PositionQuestion => ({
  table: { preset: table.preset, parameters: table.parameters },
  balls: [ballAt('cue', 1.1, 0.55), ballAt('1', 1.85, 0.9), ballAt('2', 1.5, 0.25), ballAt('3', 0.5, 1)],
  cue: 'cue',
  pot: '1',
  pocket: 'foot-left',
  next: ['2'],
  nextPocket: null,
  after: null,
  error: executionErrorOf('team', 'pool'),
  hand: 'right',
  room: null,
  confidence: 0.7,
  side: true,
  middle: false,
  ...over,
});
const stroke = { speed: 1.8, tip: { side: 0, height: 0 }, elevation: 0, pocketSide: 0 };

describe('a question to the planner', () => {
  it('builds its table once, however often it is asked', () => {
    const { table: text } = question();
    expect(tableOf(text)).toBe(tableOf({ ...text }));
    const slower = { ...text, parameters: { ...text.parameters, rollingFriction: 0.012 } };
    expect(tableOf(slower)).not.toBe(tableOf(text));
  });

  it('keeps the window while only the cue ball moves', () => {
    const window = (asked: PositionQuestion) => windowFor(asked, prepare(asked), ROUGH_STEP);
    const moved = question({
      balls: question().balls.map((ball) => (ball.id === 'cue' ? { ...ball, x: 0.9 } : ball)),
    });
    expect(window(moved)).toBe(window(question()));
    expect(window(question({ nextPocket: 'middle-right' }))).not.toBe(window(question()));
  });

  it('narrows the window to the next ball’s pocket, and to what serves the ball after', () => {
    const fine = (asked: PositionQuestion) => windowFor(asked, prepare(asked), FINE_STEP);
    const any = fine(question());
    const one = fine(question({ nextPocket: 'foot-right' }));
    const serving = fine(question({ nextPocket: 'foot-right', after: '3' }));
    let narrower = 0;
    for (let x = 0.2; x < 2.4; x += 0.11) {
      for (let y = 0.15; y < 1.2; y += 0.11) {
        const at = { x, y };
        expect(chanceAt(one, at)).toBeLessThanOrEqual(chanceAt(any, at) + 1e-6);
        if (chanceAt(serving, at) < chanceAt(one, at) - 0.1) narrower++;
      }
    }
    expect(narrower).toBeGreaterThan(5);
    expect(Math.max(...serving.chances)).toBeGreaterThan(0.3);
    expect(pocketsOf(question())).toHaveLength(6);
    expect(pocketsOf(question({ nextPocket: 'head-left' }))).toEqual(['head-left']);
  });

  it('is solved, or says why not; hampered cueing makes the player worse', () => {
    const open = solved(question(), stroke, ROUGH_STEP);
    if (open.kind !== 'pots') throw new Error(open.reason);
    expect(open.result.rest[1]?.pocket).toBe('foot-left');
    expect(open.worse).toEqual(question().error);
    const behind = [...question().balls, ballAt('9', 1.1 - 2 * radius - 0.004, 0.52)];
    const over = solved(question({ balls: behind }), stroke, ROUGH_STEP);
    if (over.kind !== 'pots') throw new Error(over.reason);
    expect(over.held.because).toContain('over a ball');
    expect(over.worse.directionDeg).toBeGreaterThan(open.worse.directionDeg);
    const away = question({ balls: [ballAt('cue', 2.4, 1.2), ...question().balls.slice(1)] });
    expect(solved(away, stroke, ROUGH_STEP)).toEqual({ kind: 'no-way', reason: 'too-thin' });
    expect(() => prepare(question({ pot: '8' }))).toThrow(RangeError);
  });

  it('aims at the part of the pocket that it is told', () => {
    const direction = (pocketSide: number) => {
      const found = solved(question(), { ...stroke, pocketSide }, ROUGH_STEP);
      if (found.kind !== 'pots') throw new Error(found.reason);
      return found.shot.strike.direction;
    };
    // To send the ball farther to the left, the cue ball is sent farther to the right.
    expect(direction(0.5)).toBeLessThan(direction(0));
    expect(direction(-0.5)).toBeGreaterThan(direction(0));
  });
});
