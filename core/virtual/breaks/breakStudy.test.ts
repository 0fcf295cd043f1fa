import { describe, expect, it } from 'vitest';
import { executionErrorOf, type LevelName } from '../../player/levels.ts';
import { RACK_QUALITIES } from '../../rack/rackers.ts';
import { POOL, SNOOKER } from '../../testing/balls.ts';
import { FROM_THE_RAIL } from '../../testing/breakStroke.ts';
import { coloursOnSpots } from '../../rack/colours.ts';
import { simulate } from '../../motion/simulate.ts';
import { createRandom } from '../../random/random.ts';
import { drawnRack, type RackWish } from '../../rack/drawnRack.ts';
import { clothLinesOf } from '../../table/markings.ts';
import { breakShot, wayToRack, type BreakStroke } from './breakShot.ts';
import { BACK, isBreakOffFoul, playedBreak, studyBreak } from './breakStudy.ts';

const TIGHT: RackWish = { kind: 'nine', quality: RACK_QUALITIES.tight };

function study(
  rack: RackWish = TIGHT,
  stroke: Partial<BreakStroke> = {},
  { level = 'match', breaks = 60, seed = 4711 }: { level?: LevelName; breaks?: number; seed?: number } = {},
) {
  const error = executionErrorOf(level, 'pool');
  return studyBreak({ table: POOL, rack, stroke: { ...FROM_THE_RAIL, ...stroke }, error, breaks, seed });
}
const loose = (mm: number): RackWish => ({ kind: 'nine', quality: { gap: mm * 1e-3, offset: 0, tilt: 0 } });
const open = (between: readonly [number, number], mm: number): RackWish => ({
  ...TIGHT,
  gaps: [{ between, gap: mm * 1e-3 }],
});

describe('the wing ball of a nine-ball rack', () => {
  it('falls in nine of ten from near the rail with a tight rack, nearly as often from a template, never from the middle', () => {
    expect(study().near.in).toBeGreaterThanOrEqual(0.9);
    expect(study({ kind: 'nine', quality: RACK_QUALITIES.template }, { speed: 6.5 }).near.in).toBeGreaterThan(
      0.75,
    );
    expect(study(TIGHT, { from: { x: POOL.length / 4, y: POOL.width / 2 } }).near.in).toBeLessThan(0.05);
  });

  it('falls ever less the wider the gaps are', () => {
    const shares = [0.02, 0.1, 0.3].map((mm) => study(loose(mm), {}, { level: 'title', breaks: 80 }).near.in);
    expect(shares[0]).toBeGreaterThan(0.92);
    expect(shares[1]).toBeLessThan((shares[0] ?? 0) - 0.2);
    expect(shares[2]).toBeLessThan((shares[1] ?? 0) - 0.2);
  });

  it('goes low by a small gap in the near diagonal, high by a wide one, and high at once by one in the far', () => {
    const small = study(open([0, 1], 0.1)).near;
    expect(small.low).toBeGreaterThan(small.high + 0.3);
    const wide = study(open([0, 1], 0.6)).near;
    expect(wide.high).toBeGreaterThan(wide.low + 0.3);
    expect(study(open([0, 2], 0.15)).near.high).toBeGreaterThan(0.9);
  });

  it('goes high where the head ball is hit past its far side', () => {
    expect(study(TIGHT, { covered: 0.85, past: 'left' }).near.high).toBeGreaterThan(0.8);
  });

  it('on the far side passes above its pocket', () => {
    expect(study().far.high).toBeGreaterThan(0.95);
  });
});

describe('many breaks', () => {
  it('add up, and are the same from the same seed', () => {
    const some = study(loose(0.1), {}, { breaks: 30 });
    expect(some.played).toHaveLength(30);
    const down = some.played.reduce((sum, one) => sum + one.down.length, 0);
    expect(some.ballsDown).toBeCloseTo(down / 30, 12);
    expect(some.dry.share).toBeCloseTo(some.played.filter((one) => one.down.length === 0).length / 30, 12);
    for (const one of some.played) {
      expect(one.rests.filter((at) => at === undefined)).toHaveLength(
        one.down.length + (one.offTable ? 1 : 0),
      );
      expect(one.cueAt === undefined ? one.next : 0).toBe(0);
    }
    expect(study(loose(0.1), {}, { breaks: 30 })).toEqual(some);
    expect(() => study(TIGHT, {}, { breaks: 0 })).toThrow(RangeError);
    expect(() => study(TIGHT, { at: 12 }, { breaks: 1 })).toThrow('no ball 12');
  });
});

describe('a break-off at snooker', () => {
  const { acrossAt, dRadius = 0 } = clothLinesOf(SNOOKER.preset);
  const OFF: BreakStroke = {
    from: { x: acrossAt, y: SNOOKER.width / 2 + 0.5 * dRadius },
    at: 14,
    covered: 0.4,
    past: 'left',
    speed: 2.6,
    tip: { side: -0.3, height: 0 },
    elevation: 0,
  };
  const rack: RackWish = { kind: 'reds', quality: RACK_QUALITIES.template };
  const off = (level: LevelName, stroke: Partial<BreakStroke> = {}) =>
    studyBreak({
      table: SNOOKER,
      rack,
      stroke: { ...OFF, ...stroke },
      error: executionErrorOf(level, 'snooker'),
      breaks: 80,
      seed: 99,
    });

  it('comes back to the baulk cushion with running side, more often by a better player, and never with check side', () => {
    const [title, match, season] = (['title', 'match', 'first season'] as const).map((level) => off(level));
    expect(title!.back.share).toBeGreaterThan(0.6);
    expect(match!.back.share).toBeLessThan(title!.back.share);
    expect(season!.back.share).toBeLessThan(match!.back.share);
    expect(off('title', { tip: { side: 0.3, height: 0 } }).back.share).toBeLessThan(0.1);
    const [one] = title!.played;
    expect(title!.back.share).toBeCloseTo(
      title!.played.filter(({ foul, cueAt }) => !foul && cueAt !== undefined && cueAt.x < BACK).length / 80,
      12,
    );
    expect(one!.rests).toHaveLength(15);
    // The pack is not broken up.
    expect(title!.disturbed).toBeGreaterThan(2);
    expect(title!.disturbed).toBeLessThan(11);
  });

  it('has the colours on their spots, and a pack that never touches the pink', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const racked = drawnRack(
        { kind: 'reds', quality: RACK_QUALITIES['poor hand'] },
        SNOOKER.preset,
        createRandom(seed),
      );
      const { balls } = breakShot(SNOOKER, racked, OFF);
      expect(balls).toHaveLength(22);
      for (const colour of coloursOnSpots(SNOOKER.preset)) {
        for (const red of racked)
          expect(Math.hypot(red.x - colour.x, red.y - colour.y)).toBeGreaterThan(2 * red.radius);
      }
    }
    expect(() => coloursOnSpots(POOL.preset)).toThrow(RangeError);
  });

  it('is a foul where a colour is met first or falls', () => {
    const racked = drawnRack(
      { kind: 'reds', quality: RACK_QUALITIES.tight },
      SNOOKER.preset,
      createRandom(3),
    );
    const shot = breakShot(SNOOKER, racked, OFF);
    // Straight along the baulk line to the green.
    const atGreen = { ...shot, strike: { ...shot.strike, direction: Math.PI / 2, speed: 1.5 } };
    expect(playedBreak(atGreen, 'reds', false).foul).toBe(true);
    expect(isBreakOffFoul('reds', 'green', simulate(atGreen).rest)).toBe(true);
    const fallen = simulate(shot).rest.map((ball) =>
      ball.id === 'blue' ? { ...ball, pocket: 'foot-left' as const } : ball,
    );
    expect(isBreakOffFoul('reds', 'red 15', fallen)).toBe(true);
    expect(isBreakOffFoul('reds', 'red 15', simulate(shot).rest)).toBe(false);
    expect(isBreakOffFoul('nine', '2', fallen)).toBe(false);
  });
});

describe('the way of the cue ball to the rack', () => {
  it('is as long as the simulated ball runs until it meets the ball that is aimed at', () => {
    const rack: RackWish = { kind: 'nine', quality: RACK_QUALITIES.tight };
    const racked = drawnRack(rack, POOL.preset, createRandom(1));
    for (const covered of [1, 0.6]) {
      const stroke = { ...FROM_THE_RAIL, covered };
      const { events, paths } = simulate(breakShot(POOL, racked, stroke), { paths: true });
      const met = events.find(({ kind }) => kind === 'ball-ball');
      const cue = paths?.find(({ id }) => id === 'cue');
      const at = cue?.pieces.findLast(({ t }) => t < (met?.t ?? 0));
      if (met === undefined || at === undefined) throw new Error('the break meets nothing');
      const tau = met.t - at.t;
      const place = {
        x: at.x + at.vx * tau + 0.5 * at.ax * tau * tau,
        y: at.y + at.vy * tau + 0.5 * at.ay * tau * tau,
      };
      const ran = Math.hypot(place.x - stroke.from.x, place.y - stroke.from.y);
      expect(Math.abs(wayToRack(POOL, racked, stroke) - ran)).toBeLessThan(0.002);
    }
    expect(() => wayToRack(POOL, racked, { ...FROM_THE_RAIL, at: 12 })).toThrow(RangeError);
  });
});
