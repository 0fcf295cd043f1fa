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
};
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
    expect(sumRound(first, 1.27)).toMatchObject({
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
    const together = sumRound([...first, ...second], 1.27);
    const added = addSums([sumRound(first, 1.27), sumRound(second, 1.27)]);
    expect({ ...added, landings: null }).toEqual({ ...together, landings: null });
    for (const key of ['count', 'along', 'across', 'alongSquared', 'acrossSquared'] as const) {
      expect(added.landings[key]).toBeCloseTo(together.landings[key], 12);
    }
  });

  it('give the mean error with the margin of its standard error', () => {
    const values = [0.1, 0.3, -0.1, 0.2, 0.05];
    const sums = sumRound(
      values.map((value) => landed(value, -value)),
      1.27,
    );
    const average = mean(values);
    const deviation = Math.sqrt(values.reduce((sum, v) => sum + (v - average) ** 2, 0) / (values.length - 1));
    const bias = meanLanding(sums.landings, 1.645);
    expect(bias?.along.mean).toBeCloseTo(average, 12);
    expect(bias?.across.mean).toBeCloseTo(-average, 12);
    expect(bias?.along.margin).toBeCloseTo((1.645 * deviation) / Math.sqrt(5), 12);
    expect(meanLanding(sumRound([landed(1, 1)], 1.27).landings, 1.645)).toBeUndefined();
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
      1.27,
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
});
