import { describe, expect, it } from 'vitest';
import { ball, bedWith, shotOf } from '../testing/balls.ts';
import { simulate } from './simulate.ts';

const bed = bedWith();
const { slidingFriction: muS, rollingFriction: muR, gravity: g } = bed.parameters;

describe('a ball on the cloth', () => {
  it.each([0.5, 1, 2, 4])('hit in the middle at %s m/s slides 12·v²/(49·μs·g), then rolls at 5/7·v', (v) => {
    const result = simulate(shotOf(bed, [ball('cue', 0, 0)], { speed: v }), { paths: true });
    const rolling = result.paths![0]!.pieces[1]!;
    expect(rolling.x).toBeCloseTo((12 * v * v) / (49 * muS * g), 9);
    expect(rolling.vx).toBeCloseTo((5 / 7) * v, 9);
    expect(rolling.t).toBeCloseTo((2 * v) / (7 * muS * g), 9);
  });

  it.each([0.5, 2, 5])('hit at 0.4 R above centre at %s m/s rolls at once and goes v²/(2·μr·g)', (v) => {
    const result = simulate(shotOf(bed, [ball('cue', 0, 0)], { speed: v, tip: { side: 0, height: 0.4 } }));
    expect(result.rest[0]!.x).toBeCloseTo((v * v) / (2 * muR * g), 6);
    expect(result.duration).toBeCloseTo(v / (muR * g), 6);
  });

  it('keeps turning where it lies after a hit with side, until the cloth has taken the spin', () => {
    const result = simulate(shotOf(bed, [ball('cue', 0, 0)], { speed: 0.2, tip: { side: 0.5, height: 0 } }));
    const spin = (2.5 * 0.5 * 0.2) / bed.preset.ballRadius;
    const moving = (2 * 0.2) / (7 * muS * g) + ((5 / 7) * 0.2) / (muR * g);
    expect(result.duration).toBeCloseTo(Math.max(moving, spin / bed.parameters.spinDeceleration), 6);
  });

  it.each([0.3, -0.3])('curves when side %s meets a raised butt, and mirrors', (side) => {
    const shot = shotOf(bed, [ball('cue', 0, 0)], { speed: 3, tip: { side, height: 0 }, elevation: 0.35 });
    const { rest } = simulate(shot);
    // Side to the right with a raised butt swerves to the right, −y.
    expect(Math.sign(rest[0]!.y)).toBe(-Math.sign(side));
    const mirrored = simulate({ ...shot, strike: { ...shot.strike, tip: { side: -side, height: 0 } } });
    expect(mirrored.rest[0]!.x).toBeCloseTo(rest[0]!.x, 12);
    expect(mirrored.rest[0]!.y).toBeCloseTo(-rest[0]!.y, 12);
  });
});
