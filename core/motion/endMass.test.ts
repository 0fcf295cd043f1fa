import { describe, expect, it } from 'vitest';
import { endMassFromTest } from './endMass.ts';
import { squirtTangent } from './strike.ts';

describe('the mass of a cue’s end', () => {
  it('comes back from the squirt that it makes, on either side', () => {
    for (const endMass of [0.003, 0.012, 0.03]) {
      for (const side of [-0.45, 0.2, 0.4]) {
        const off = 2 * Math.abs(squirtTangent(side, 0.17, endMass));
        expect(endMassFromTest(side, 0.17, off, 2)).toBeCloseTo(endMass, 10);
      }
    }
  });

  it('is none for a shot that went straight, or farther aside than any cue sends it', () => {
    expect(() => endMassFromTest(0.4, 0.17, 0, 2)).toThrow(RangeError);
    expect(() => endMassFromTest(0.4, 0.17, 1.5, 2)).toThrow(RangeError);
  });
});
