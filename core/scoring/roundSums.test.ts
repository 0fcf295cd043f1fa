import { describe, expect, it } from 'vitest';
import { BLANK_SHOT, type LoggedShot } from '../records/loggedShot.ts';
import { logOf } from '../records/attempt.ts';
import { NOTHING_ENTERED } from '../records/entered.ts';
import type { BreakLog } from '../records/breakLog.ts';
import { mean } from '../statistics/summary.ts';
import { addSums, meanLanding, sumRound } from './roundSums.ts';

const shot = (change: Partial<LoggedShot>) => ({
  along: null,
  across: null,
  log: logOf({ shots: [{ ...BLANK_SHOT, ...change }] }),
});
const landed = (along: number, across: number) => ({ along, across, log: logOf({}) });

const OPENING: BreakLog = {
  balls: 1,
  control: 2,
  layout: 2,
  inOff: false,
  rack: null,
  rackBy: null,
  cue: 'light',
  from: { x: 0.5, y: 0.63 },
  aim: null,
  pace: null,
  wing: null,
  first: null,
  second: null,
  cueBall: null,
  nextShot: null,
  runOut: null,
  speed: null,
};
const ON = { name: 'Pool room, table 1', length: 2.54, width: 1.27 };
const opening = (change: Partial<BreakLog>) => ({
  along: null,
  across: null,
  log: logOf({ entered: { ...NOTHING_ENTERED, opening: { ...OPENING, ...change } } }),
});

describe('the sums of rounds', () => {
  const first = [
    shot({ cause: 'thin', side: 'left' }),
    shot({ cause: 'thin', side: 'none', rescue: true }),
    shot({ cause: 'too hard', luck: true }),
    landed(0.1, -0.02),
    landed(0.3, 0.04),
  ];
  const second = [shot({ cause: 'too hard' }), shot({ cause: 'too hard' }), landed(-0.1, 0.01)];

  it('count causes, side, rescues and luck of the shots that were logged', () => {
    expect(sumRound(first, ON)).toMatchObject({
      shots: 3,
      withSide: 1,
      rescues: 1,
      lucky: 1,
      causes: [
        { cause: 'thin', count: 2 },
        { cause: 'too hard', count: 1 },
      ],
    });
  });

  it('of two rounds are those of all their shots together', () => {
    const together = sumRound([...first, ...second], ON);
    const added = addSums([sumRound(first, ON), sumRound(second, ON)]);
    expect({ ...added, landings: null }).toEqual({ ...together, landings: null });
    for (const key of ['count', 'along', 'across', 'alongSquared', 'acrossSquared'] as const) {
      expect(added.landings[key]).toBeCloseTo(together.landings[key], 12);
    }
  });

  it('give the mean error with the margin of its standard error', () => {
    const values = [0.1, 0.3, -0.1, 0.2, 0.05];
    const sums = sumRound(
      values.map((value) => landed(value, -value)),
      ON,
    );
    const average = mean(values);
    const deviation = Math.sqrt(values.reduce((sum, v) => sum + (v - average) ** 2, 0) / (values.length - 1));
    const bias = meanLanding(sums.landings, 1.645);
    expect(bias?.along.mean).toBeCloseTo(average, 12);
    expect(bias?.across.mean).toBeCloseTo(-average, 12);
    expect(bias?.along.margin).toBeCloseTo((1.645 * deviation) / Math.sqrt(5), 12);
    expect(meanLanding(sumRound([landed(1, 1)], ON).landings, 1.645)).toBeUndefined();
  });

  it('put breaks that were played alike together, by place from behind the head end', () => {
    const sums = sumRound(
      [
        opening({}),
        opening({ balls: 0 }),
        opening({ inOff: true, balls: 2 }),
        opening({ from: { x: 0.5, y: 1.1 } }),
        opening({ from: { x: 0.5, y: 0.2 }, cue: 'heavy' }),
        opening({ from: null }),
      ],
      ON,
    );
    expect(
      sums.breaks.map(({ place, cue, breaks, good, inOffs, balls }) => [
        place,
        cue,
        breaks,
        good,
        inOffs,
        balls,
      ]),
    ).toEqual([
      ['middle', 'light', 3, 1, 1, 3],
      ['left', 'light', 1, 1, 0, 1],
      ['right', 'heavy', 1, 1, 0, 1],
      [null, 'light', 1, 1, 0, 1],
    ]);
  });

  it('count dry breaks, run-outs where it was noted, speeds by the metre a second, and where it was', () => {
    const { breaks } = sumRound(
      [
        opening({ speed: 8.2, runOut: true }),
        opening({ speed: 8.9, balls: 0, runOut: false }),
        opening({ speed: 9, runOut: null }),
      ],
      ON,
    );
    expect(
      breaks.map(({ speed, dry, followed, runOuts, table }) => [speed, dry, followed, runOuts, table]),
    ).toEqual([
      [8, 1, 2, 1, ON.name],
      [9, 0, 0, 0, ON.name],
    ]);
  });

  it('count where cue balls of breaks stopped by the field of the table, and say nothing where none was marked', () => {
    const stopped = (x: number, y: number) => {
      const { log, ...rest } = opening({});
      return { ...rest, log: { ...log, shots: [{ ...BLANK_SHOT, landing: { x, y } }] } };
    };
    const first = sumRound([stopped(0.01, 0.01), stopped(2.53, 1.26), stopped(2.54, 1.27)], ON).breakRests;
    expect(first?.length).toBe(32);
    expect([first?.[0], first?.[31]]).toEqual([1, 2]);
    expect(first?.reduce((sum, each) => sum + each, 0)).toBe(3);
    expect(sumRound([opening({})], ON).breakRests).toBeUndefined();
    const both = addSums([
      sumRound([stopped(0.01, 0.01)], ON),
      sumRound([stopped(0.02, 0.02), opening({})], ON),
    ]);
    expect(both.breakRests?.[0]).toBe(2);
  });

  it('of rounds that ended before all that was counted stay as they are', () => {
    const old = {
      cue: null,
      place: null,
      aim: null,
      pace: null,
      rackBy: null,
      breaks: 4,
      good: 2,
      inOffs: 0,
      balls: 5,
    };
    const sums = { ...sumRound([], ON), breaks: [old] };
    expect(addSums([sums, sums]).breaks).toEqual([{ ...old, breaks: 8, good: 4, balls: 10 }]);
  });
});
