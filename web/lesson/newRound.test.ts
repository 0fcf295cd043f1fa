import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { atStage } from '../../core/drill/stage.ts';
import { logOf } from '../../core/records/attempt.ts';
import type { Round } from '../../core/records/round.ts';
import { drillSchema } from '../../core/records/drill.ts';
import { firstResult, nextRung } from './newRound.ts';

const drillOf = (slug: string) =>
  atStage(drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8'))), 1);
const ladder = drillOf('after-the-break');

function round(ladderStart: number, racks: readonly boolean[], change: Partial<Round> = {}): Round {
  return {
    id: 'r',
    player: { id: 'p', name: 'P', hand: 'right' },
    table: { id: 't', name: 't', preset: 'eight-7ft', revision: 1, conditionsId: null, fingerprint: 'f' },
    drill: ladder.slug,
    ownDrill: false,
    revision: 1,
    stage: 1,
    ladderStart,
    seed: 1,
    mirrored: false,
    lesson: null,
    startedAt: '2026-11-01T18:00:00Z',
    endedAt: '2026-11-01T18:20:00Z',
    early: false,
    attempts: racks.map((done, i) => ({
      id: String(i),
      ordinal: i + 1,
      outcome: done ? 'potted' : 'missed',
      landing: null,
      points: 0,
      along: null,
      across: null,
      log: logOf({}),
      counted: { done },
      playedAt: '2026-11-01T18:00:00Z',
      changed: null,
    })),
    result: { value: 0, unit: 'rung', better: 'high', maximum: 7, complete: true, censored: false },
    advice: null,
    ...change,
  };
}

it('a ladder of racks begins where the last complete round of its stage ended', () => {
  // Two racks of three passed from the first rung, then two lost: the second rung is not passed.
  expect(nextRung(ladder, [round(0, [true, true, false, false])], 1)).toBe(0);
  // Three and four balls passed, five failed: the last one passed is the second rung.
  const climbed = round(0, [true, true, true, true, false, false]);
  expect(nextRung(ladder, [climbed], 1)).toBe(1);
  // Begun at the second rung and failed there: back by one.
  expect(nextRung(ladder, [climbed, round(1, [false, false])], 1)).toBe(0);
  const unfinished = round(1, [true], { result: { ...climbed.result, complete: false } });
  expect(nextRung(ladder, [climbed, unfinished], 1)).toBe(1);
  expect(nextRung(ladder, [climbed], 2)).toBe(0);
});

it('other drills have no rung, and a round begins with nothing', () => {
  expect(nextRung(drillOf('far-shores'), [round(2, [true])], 1)).toBe(0);
  expect(firstResult(drillOf('far-shores'), 1)).toMatchObject({ value: 0, unit: 'balls', complete: false });
});
