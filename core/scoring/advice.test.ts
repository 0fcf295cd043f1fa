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
});
