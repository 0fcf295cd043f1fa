import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { breakSpeed } from './breakSpeed.ts';
import { highPass } from './highPass.ts';
import { impactsOf } from './impacts.ts';
import { madeBreak, type MadeBreak } from './madeBreak.ts';

const RATE = 44_100;
const SLOWING = 0.2 * 9.81;
const QUIET: MadeBreak = {
  speed: 7,
  distance: 1.2,
  slowing: SLOWING,
  noise: 0.0005,
  echo: 0.1,
  voices: 0,
  strangers: 0,
};
const made = (over: Partial<MadeBreak>, seed = 1) =>
  madeBreak({ ...QUIET, ...over }, RATE, createRandom(seed));
const told = (over: Partial<MadeBreak>, seed = 1) => {
  const { distance, slowing } = { ...QUIET, ...over };
  return breakSpeed(made(over, seed).samples, RATE, { distance, slowing });
};

describe('the speed of a break from its sound', () => {
  it('is told in a quiet room, at any pace, within three of a hundred, and its interval holds it', () => {
    let inside = 0;
    for (const speed of [4, 5, 6, 7, 8, 9, 10]) {
      for (const seed of [1, 2, 3]) {
        const answer = told({ speed }, seed);
        if (answer.kind !== 'told') throw new Error(`${speed} m/s, seed ${seed}: ${answer.why}`);
        expect(Math.abs(answer.speed / speed - 1)).toBeLessThan(0.03);
        if (answer.low <= speed && speed <= answer.high) inside++;
      }
    }
    expect(inside).toBeGreaterThanOrEqual(20);
  });

  it('hears tip and rack when they were struck', () => {
    const { samples, tip, rack } = made({});
    const answer = breakSpeed(samples, RATE, { distance: 1.2, slowing: SLOWING });
    if (answer.kind !== 'told') throw new Error(answer.why);
    expect(Math.abs(answer.tip - tip)).toBeLessThan(0.002);
    expect(Math.abs(answer.rack - rack)).toBeLessThan(0.002);
    // The ball slows down on its way: the mean over the way is less than the speed at first.
    expect(answer.speed).toBeGreaterThan(1.2 / (answer.rack - answer.tip));
  });

  it('is refused where nothing is heard, or the tip may have been drowned', () => {
    const setting = { distance: 1.2, slowing: SLOWING };
    expect(breakSpeed(new Float32Array(RATE), RATE, setting)).toEqual({
      kind: 'cannot tell',
      why: 'nothing heard',
    });
    expect(breakSpeed(new Float32Array(0), RATE, setting).kind).toBe('cannot tell');
    for (const seed of [1, 2, 3]) expect(told({ noise: 0.05 }, seed).kind).toBe('cannot tell');
  });

  it('is refused, not guessed, where another knock could be the tip', () => {
    let refused = 0;
    for (let seed = 1; seed <= 30; seed++) {
      const answer = told({ strangers: 6 }, seed);
      if (answer.kind === 'cannot tell') refused++;
      else expect(Math.abs(answer.speed / QUIET.speed - 1)).toBeLessThan(0.03);
    }
    expect(refused).toBeGreaterThan(10);
  });

  it('does not fall for a distance that cannot be', () => {
    // With twice the way the pair would be a break of 14 m/s.
    const { samples } = made({});
    expect(breakSpeed(samples, RATE, { distance: 2.6, slowing: SLOWING }).kind).toBe('cannot tell');
  });
});

describe('a knock', () => {
  it('is heard through a voice, which is none itself', () => {
    const quiet = impactsOf(made({}).samples, RATE).impacts.length;
    expect(quiet).toBeGreaterThan(3);
    const voice = Float32Array.from(
      { length: RATE },
      (_, i) => 0.4 * Math.sin((2 * Math.PI * 180 * i) / RATE),
    );
    // The edge at the beginning may be heard; the voice is not.
    expect(impactsOf(voice, RATE).impacts.filter(({ at }) => at > 0.1)).toEqual([]);
  });

  it('passes the filter, and what is low does not', () => {
    const amplitude = (hertz: number) => {
      const tone = Float32Array.from({ length: RATE }, (_, i) => Math.sin((2 * Math.PI * hertz * i) / RATE));
      return Math.max(...highPass(tone, RATE, 3_000).subarray(RATE / 2));
    };
    expect(amplitude(9_000)).toBeGreaterThan(0.95);
    // A corner takes away half of the energy in each of both sections.
    expect(amplitude(3_000)).toBeCloseTo(0.5, 2);
    expect(amplitude(300)).toBeLessThan(0.001);
  });

  it('is not made by a ball that stops before the rack', () => {
    expect(() => made({ speed: 1.5 })).toThrow(RangeError);
  });
});
