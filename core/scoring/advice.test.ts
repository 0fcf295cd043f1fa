import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { atStage } from '../drill/stage.ts';
import { drillSchema } from '../records/drill.ts';
import { adviceAfter, type PlayedRound } from './advice.ts';

const drillOf = (slug: string) =>
  drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));

/** A round of a position drill: ten shots of three points at most. */
const scored = (stage: number, value: number): PlayedRound => ({
  stage,
  ladderStart: 0,
  result: { value, maximum: 30, better: 'high', complete: true, censored: false },
  attempts: Array.from({ length: 10 }, () => ({ done: true })),
});

describe('advice after a round', () => {
  const drill = drillOf('harbour-turn');
  const at = (stage: number) => atStage(drill, stage);

  it('is a stage up when the stage is surely passed, and harder at the last one', () => {
    // 24 of 30 in three rounds is 80 % of 30 shots: the lower bound at 80 % one-sided is 73 %.
    const good = [scored(1, 24), scored(1, 24), scored(1, 24)];
    expect(adviceAfter(at(1), 1, good)).toMatchObject({ kind: 'stage up', stage: 2 });
    expect(
      adviceAfter(
        at(2),
        2,
        good.map((round) => ({ ...round, stage: 2 })),
      ),
    ).toMatchObject({
      kind: 'harder',
      stage: 2,
    });
  });

  it('is a stage back when it is surely failed, and easier at the first one', () => {
    const bad = [scored(2, 4), scored(2, 5)];
    expect(adviceAfter(at(2), 2, bad)).toMatchObject({ kind: 'stage back', stage: 1 });
    expect(
      adviceAfter(
        at(1),
        1,
        bad.map((round) => ({ ...round, stage: 1 })),
      ),
    ).toMatchObject({
      kind: 'easier',
      stage: 1,
    });
  });

  it('is to stay where it is not sure: in the middle, after little, and by other stages', () => {
    expect(adviceAfter(at(1), 1, [scored(1, 15)]).kind).toBe('stay');
    // Seven of ten alone does not say it: the lower bound is 56 %.
    expect(adviceAfter(at(1), 1, [scored(1, 21)]).kind).toBe('stay');
    expect(adviceAfter(at(1), 1, [scored(2, 30)]).kind).toBe('stay');
    expect(adviceAfter(at(1), 1, []).kind).toBe('stay');
  });

  it('says of a ladder of racks where the next round begins', () => {
    const ladder = atStage(drillOf('after-the-break'), 1);
    const racks = [true, true, true, true, false, false].map((done) => ({ done }));
    // Rungs 3, 4, 5, 7: two of three at three and at four balls passed, five failed.
    const advice = adviceAfter(ladder, 1, [
      {
        stage: 1,
        ladderStart: 0,
        result: { value: 4, maximum: 7, better: 'high', complete: true, censored: false },
        attempts: racks,
      },
    ]);
    expect(advice).toMatchObject({ kind: 'rung', reason: 'the next round begins with 4 balls' });
  });

  const result = (value: number, maximum: number) =>
    ({ value, maximum, better: 'high', complete: true, censored: false }) as const;
  const played = (value: number, maximum: number, ...attempts: boolean[]): PlayedRound => ({
    stage: 1,
    ladderStart: 0,
    result: result(value, maximum),
    attempts: attempts.map((done) => ({ done })),
  });
  const Y = true;
  const N = false;

  it('of a streak speaks of the attempts that were made, not of the longest run', () => {
    const streak = atStage(drillOf('double-two'), 1);
    // Every second one is made: the run is 1 of 12, which is no 8 %.
    const half = played(1, 12, Y, N, Y, N, Y, N, Y, N, Y, N, Y, N);
    expect(adviceAfter(streak, 1, [half, half, half])).toMatchObject({
      kind: 'stay',
      reason: '50 % done in the last 36 attempts: once more at this stage',
    });
  });

  it('of a ladder by single balls speaks of how far it was climbed', () => {
    const drill = drillOf('cast-and-clear');
    const ladder = atStage(drill, 1);
    if (ladder.scoring.method !== 'ladder-by-single') throw new Error('no ladder');
    const { top, start } = ladder.scoring;
    // The ladder follows the player: every second rack is cleared whether it goes well or badly.
    const climbed = (value: number) => played(value, top, Y, N, Y, N, Y, N);
    const advice = (value: number) =>
      adviceAfter(ladder, 1, [climbed(value), climbed(value), climbed(value)]);
    expect(advice(top).kind).toMatch(/stage up|harder/);
    expect(advice(start)).toMatchObject({ kind: 'stay' });
    expect(advice(start - 1).kind).toMatch(/stage back|easier/);
    expect(advice(start).reason).toContain(
      `up to ${String(start)} of ${String(top)} balls in the last 3 rounds`,
    );
  });

  it('of breaks takes only clearances for a stage passed, and a low break for nothing', () => {
    const breaks = atStage(drillOf('three-red-break'), 1);
    const low = played(9, 51, N, N, N, N, N);
    expect(adviceAfter(breaks, 1, [low, low, low])).toMatchObject({
      kind: 'stay',
      reason: 'a best break of 9 and 0 cleared in the last 15 visits: once more at this stage',
    });
    const cleared = played(51, 51, Y, Y, Y, Y, Y);
    expect(adviceAfter(breaks, 1, [cleared, cleared]).kind).toMatch(/stage up|harder/);
  });
});
