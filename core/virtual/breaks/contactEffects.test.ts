import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../../player/levels.ts';
import { RACK_QUALITIES } from '../../rack/rackers.ts';
import { FROM_THE_RAIL } from '../../testing/breakStroke.ts';
import { POOL } from '../../testing/balls.ts';
import { studyBreak, type BreakQuestion } from './breakStudy.ts';
import { contactEffects } from './contactEffects.ts';
import { wingPlaces } from './wingBall.ts';

const QUESTION: BreakQuestion = {
  table: POOL,
  rack: { kind: 'nine', quality: RACK_QUALITIES.tight },
  stroke: FROM_THE_RAIL,
  error: executionErrorOf('title', 'pool'),
  breaks: 30,
  seed: 61,
};

describe('which contact matters', () => {
  const shares: number[] = [];
  const effects = contactEffects(QUESTION, 0.2e-3, (share) => shares.push(share));
  const [near] = wingPlaces('nine');

  it('is told with the balls that fall more or less often, as playing such racks says', () => {
    expect(effects.length).toBeGreaterThan(2);
    const perfect = studyBreak({ ...QUESTION, breaks: 120, seed: 9 });
    for (const { between, balls } of effects.slice(0, 2)) {
      const rack = { ...QUESTION.rack, gaps: [{ between, gap: 0.2e-3 }] };
      const apart = studyBreak({ ...QUESTION, rack, breaks: 120, seed: 9 });
      for (const { place, change } of balls.slice(0, 1)) {
        const fresh = (apart.falls[place]?.share ?? NaN) - (perfect.falls[place]?.share ?? NaN);
        expect(Math.abs(fresh - change)).toBeLessThan(0.2);
      }
    }
  });

  it('finds the wing ball spoiled by the gaps of the near diagonal and the head ball, each the strongest first', () => {
    const spoils = effects.filter(({ balls }) =>
      balls.some(({ place, change }) => place === near && change < -0.5),
    );
    // The head ball, the second row and the wing ball itself stand on that diagonal.
    expect(spoils.some(({ between }) => between.join() === '0,1')).toBe(true);
    const strongest = effects.map(({ balls }) => Math.abs(balls[0]?.change ?? 0));
    expect(strongest).toEqual([...strongest].sort((a, b) => b - a));
    expect(shares.at(-1)).toBeCloseTo(1, 12);
  });

  it('asks for a gap and for breaks', () => {
    expect(() => contactEffects(QUESTION, 0)).toThrow(RangeError);
    expect(() => contactEffects({ ...QUESTION, breaks: 0 }, 1e-4)).toThrow(RangeError);
  });
});
