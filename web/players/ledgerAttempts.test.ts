import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { atStage } from '../../core/drill/stage.ts';
import { BLANK_SHOT, type LoggedShot } from '../../core/records/loggedShot.ts';
import { logOf } from '../../core/records/attempt.ts';
import { drillSchema } from '../../core/records/drill.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { attempt } from '../testing/attempt.ts';
import { round } from '../testing/round.ts';
import { ledgerAttempts } from './ledgerAttempts.ts';

// Four balls in rotation; the cue ball is placed.
const drill = atStage(
  drillSchema.validateSync(JSON.parse(readFileSync('library/far-shores.drill.json', 'utf8'))),
  1,
);
const preset = TABLE_PRESETS['pool-9ft'];
const look = (rounds: Parameters<typeof ledgerAttempts>[0]) => ledgerAttempts(rounds, drill, preset);

const shot = (change: Partial<LoggedShot>): LoggedShot => ({ ...BLANK_SHOT, ball: '1', ...change });
const potted = shot({ potted: ['1'] });
const marked = shot({ potted: ['1'], landing: { x: 1, y: 0.6 } });
const missed = shot({});
const full = (id: string, ...shots: readonly LoggedShot[]) =>
  attempt(id, { log: logOf({ detail: 'full', shots: [...shots] }) });

it('offers the latest attempts first, with where their balls lay', () => {
  const { carrying } = look([
    round({ startedAt: '2026-11-01T18:00:00Z', attempts: [full('a', missed), full('b', marked, missed)] }),
    round({ startedAt: '2026-11-08T18:00:00Z', attempts: [full('c', missed)] }),
  ]);
  expect(carrying.map((each) => each.attempt.id)).toEqual(['c', 'b', 'a']);
  expect(carrying.map((each) => each.startedAt.slice(8, 10))).toEqual(['08', '01', '01']);
  expect(carrying[0]?.layout.balls.map(({ id }) => id)).toEqual(['1', '2', '3', '4']);
  expect(carrying[0]?.layout.cue).toBeDefined();
});

it('leaves out those whose cue ball was not marked after the first ball, and says that there are some', () => {
  expect(look([round({ attempts: [full('a', potted, missed)] })])).toEqual({ written: true, carrying: [] });
});

it('knows no attempts that were logged by their result, or not at all', () => {
  const quick = attempt('a', { log: logOf({ shots: [missed] }) });
  expect(look([round({ attempts: [quick, full('b')] }), round({})])).toEqual({
    written: false,
    carrying: [],
  });
});

it('stops at twenty', () => {
  const attempts = Array.from({ length: 25 }, (_, i) => full(String(i), missed));
  const { carrying } = look([round({ attempts })]);
  expect(carrying.map((each) => Number(each.attempt.id))).toEqual(
    Array.from({ length: 20 }, (_, i) => 24 - i),
  );
});
