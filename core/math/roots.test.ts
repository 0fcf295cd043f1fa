import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { borderOf, createRootScratch, firstContact, firstFallThroughZero, rootBetween } from './roots.ts';

const scratch = createRootScratch();

/** (t − r1)(t − r2)(t − r3)(t − r4)·scale, constant first. */
function fromRoots(roots: readonly number[], scale: number): Float64Array {
  let c = [scale];
  for (const r of roots) {
    const next = new Array<number>(c.length + 1).fill(0);
    c.forEach((value, i) => {
      next[i] = next[i]! - r * value;
      next[i + 1] = next[i + 1]! + value;
    });
    c = next;
  }
  return Float64Array.from({ length: 5 }, (_, i) => c[i] ?? 0);
}

describe('firstFallThroughZero', () => {
  it('finds the first fall of quartics built from known roots', () => {
    const thousandths = (min: number, max: number) => fc.integer({ min, max }).map((n) => n / 1000);
    fc.assert(
      fc.property(
        thousandths(-3000, 3000),
        fc.tuple(thousandths(20, 2500), thousandths(20, 2500), thousandths(20, 2500)),
        fc.boolean(),
        (first, gaps, up) => {
          let at = first;
          const sorted = [first, ...gaps.map((gap) => (at += gap))];
          fc.pre(sorted.every((r) => Math.abs(r) > 0.01 && Math.abs(r - 5) > 0.01));
          const c = fromRoots(sorted, up ? 1 : -1);
          // With a positive leading coefficient it falls through the 1st and 3rd root, else the 2nd and 4th.
          const falls = sorted.filter((r, i) => r > 0 && r < 5 && (i % 2 === 0) === up);
          const found = firstFallThroughZero(c, 5, scratch);
          if (falls.length === 0) expect(found).toBe(Infinity);
          else expect(found).toBeCloseTo(falls[0]!, 8);
        },
      ),
      { seed: 20261, numRuns: 2000 },
    );
  });

  it('sees a short dip below zero between two nearby roots', () => {
    const c = fromRoots([1, 1.0001, -2, 9], -1);
    expect(firstFallThroughZero(c, 5, scratch)).toBeCloseTo(1, 9);
  });

  it('answers Infinity for a touch from above that does not go through, and for a constant', () => {
    expect(firstFallThroughZero(Float64Array.of(1.0001, -2, 1, 0, 0), 5, scratch)).toBe(Infinity);
    expect(firstFallThroughZero(Float64Array.of(1, 0, 0, 0, 0), 5, scratch)).toBe(Infinity);
  });
});

describe('firstContact', () => {
  it('meets at once when bodies in touch close, and not when they part', () => {
    expect(firstContact(Float64Array.of(0, -1, 0, 0, 0), 2, 1e-9, 1e-4, scratch)).toBe(0);
    expect(firstContact(Float64Array.of(0, 1, 0, 0, 0), 2, 1e-9, 1e-4, scratch)).toBe(Infinity);
  });

  it('lets bodies in touch part and meets when they come back', () => {
    // gap t − t²: apart until t = 1
    expect(firstContact(Float64Array.of(0, 1, -1, 0, 0), 2, 1e-9, 1e-4, scratch)).toBeCloseTo(1, 12);
  });

  it('lets a slow press build up until it is fast enough to be a collision', () => {
    // gap −t²/2: the rate −t reaches 1e-4 at t = 1e-4
    expect(firstContact(Float64Array.of(0, 0, -0.5, 0, 0), 2, 1e-7, 1e-4, scratch)).toBeCloseTo(1e-4, 9);
  });
});

describe('rootBetween and borderOf', () => {
  it('solve a cosine', () => {
    expect(rootBetween((x) => Math.cos(x) - x, 0, 1, 1e-12)).toBeCloseTo(0.7390851332151607, 11);
    expect(borderOf((x) => Math.cos(x) > x, 0, 1, 1e-10)).toBeCloseTo(0.7390851332, 9);
  });

  it('refuses a bracket without a change of sign', () => {
    expect(() => rootBetween((x) => x * x + 1, -1, 1, 1e-9)).toThrow('must change sign');
  });
});
