import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { atStage } from '../drill/stage.ts';
import { logOf } from '../records/attempt.ts';
import { drillSchema } from '../records/drill.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { layoutOfAttempt } from './layoutOfAttempt.ts';

const read = (slug: string) =>
  drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));
const preset = TABLE_PRESETS['pool-9ft'];

it('thrown balls lie by the seed of the attempt, before that of the round, and where the coach moved them', () => {
  const drill = atStage(read('cast-and-clear'), 1);
  const byRound = layoutOfAttempt(drill, preset, logOf({}), 5);
  const byAttempt = layoutOfAttempt(drill, preset, logOf({ seed: 5 }), 9);
  expect(byAttempt).toEqual(byRound);
  expect(layoutOfAttempt(drill, preset, logOf({}), 6).balls).not.toEqual(byRound.balls);
  const [first] = byRound.balls;
  const places = [{ id: first?.id ?? '', x: 1, y: 0.5 }];
  const moved = layoutOfAttempt(drill, preset, logOf({ places }), 5);
  expect(moved.balls[0]).toMatchObject({ id: first?.id, x: 1, y: 0.5, radius: first?.radius });
  expect(moved.balls.slice(1)).toEqual(byRound.balls.slice(1));
});

it('only the balls of the attempt are up, and the cue ball is not among them', () => {
  const drill = atStage(read('far-shores'), 2);
  const { balls, cue } = layoutOfAttempt(drill, preset, logOf({ set: ['2', '5'] }), 1);
  expect(balls.map(({ id }) => id)).toEqual(['2', '5']);
  expect(cue?.id).toBe('cue');
});
