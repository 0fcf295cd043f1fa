import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { AskedLeave } from '../counting/leaveGrade.ts';
import { ballsOfSetUp, setUp } from '../drill/setUp.ts';
import { atStage } from '../drill/stage.ts';
import { simulate } from '../motion/simulate.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { drillSchema } from '../records/drill.ts';
import { hitOf } from '../shot/kicks/hit.ts';
import { buildTable } from '../table/table.ts';
import { safeties } from '../planning/safety/safeties.ts';
import { planHit, playHit } from './playHit.ts';

describe('a virtual player’s safety', () => {
  it('goes by a cushion first where the drill asks for it', () => {
    const read = drillSchema.validateSync(
      JSON.parse(readFileSync('library/cushion-first.drill.json', 'utf8')),
    );
    expect(read.conditions).toContain('cushion first');
    const drill = atStage(read, 1);
    const { task } = drill;
    if (task.kind !== 'safety') throw new Error('cushion-first is a safety drill');
    const table = buildTable(drill.table);
    const player = { table, error: executionErrorOf('team', table.preset.game), random: createRandom(1) };
    const balls = ballsOfSetUp(setUp(drill, table.preset, 1));
    const cue = balls.find(({ id }) => id === 'cue')!;
    const plan = planHit(player, drill, task, balls, cue)!;
    const hit = hitOf(simulate(plan, { paths: true }), 'cue');
    expect(hit.first).toBe(task.target);
    expect(hit.before.length).toBeGreaterThan(0);
  });

  it('is done where the drill asks for a snooker only when it leaves one', () => {
    const read = drillSchema.validateSync(
      JSON.parse(readFileSync('library/hit-and-hold.drill.json', 'utf8')),
    );
    const drill = atStage(read, 1);
    if (drill.task.kind !== 'safety') throw new Error('hit-and-hold is a safety drill');
    const table = buildTable(drill.table);
    const hidden = { ...drill.task, leave: 'hidden' } as const;
    const balls = ballsOfSetUp(setUp(drill, table.preset, 1));
    const error = executionErrorOf('match', table.preset.game);
    const cue = balls.find(({ id }) => id === 'cue')!;
    // The one that leaves least as planned: which one is planned makes no difference here.
    const wish = { target: hidden.target, wanted: () => true, sides: [0] };
    const plan = safeties(table, error, balls, cue.id, wish)[0]?.shot;
    const done = (leave: AskedLeave) => {
      const task = { ...hidden, leave };
      const same = { table, error, random: createRandom(4) };
      return Array.from({ length: 200 }, () => playHit(same, { ...drill, task }, task, plan)).filter(
        (each) => each.done,
      ).length;
    };
    expect(done('hidden')).toBeGreaterThan(3);
    expect(done('hidden')).toBeLessThan(200);
    // What cannot be seen cannot be potted either.
    expect(done('hidden')).toBeLessThanOrEqual(done('nothing on'));
  });
});
