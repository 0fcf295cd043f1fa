import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { spreadLabels } from './spreadLabels.ts';

describe('labels beside a scale', () => {
  it('stay where they are as long as there is room', () => {
    expect(spreadLabels([10, 40, 90], 14, [0, 160])).toEqual([10, 40, 90]);
  });

  it('make room for each other and stay within the scale', () => {
    expect(spreadLabels([150, 152, 155], 14, [0, 160])).toEqual([132, 146, 160]);
  });

  it('never lie over each other and keep their order, wherever they want to be', () => {
    const places = fc.array(fc.double({ min: 0, max: 160, noNaN: true }), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(places, (wanted) => {
        const placed = spreadLabels(wanted, 14, [0, 160]);
        const pairs = wanted.map((place, i) => ({ place, at: placed[i] ?? NaN }));
        for (const [i, a] of pairs.entries()) {
          expect(a.at).toBeGreaterThanOrEqual(-1e-9);
          expect(a.at).toBeLessThanOrEqual(160 + 1e-9);
          for (const b of pairs.slice(i + 1)) {
            expect(Math.abs(a.at - b.at)).toBeGreaterThanOrEqual(14 - 1e-9);
            if (a.place !== b.place) expect(Math.sign(a.at - b.at)).toBe(Math.sign(a.place - b.place));
          }
        }
      }),
    );
  });
});
