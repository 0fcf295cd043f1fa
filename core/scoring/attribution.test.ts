import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { plannedStroke } from '../drill/plannedShot.ts';
import { isPositionDrill } from '../drill/positionDrill.ts';
import type { Shot, Strike } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { drillSchema } from '../records/drill.ts';
import { buildTable } from '../table/table.ts';
import { ball, cueBall, shotOf } from '../testing/balls.ts';
import { attribute, strokeCloud, type StrokeError } from './attribution.ts';
import { executionErrorOf, type ExecutionError } from '../player/levels.ts';

function planned(slug: string) {
  const drill = drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));
  if (!isPositionDrill(drill)) throw new Error(`${slug} is no position drill`);
  const { shot } = plannedStroke(drill, buildTable(drill.table));
  return { shot, task: { object: drill.task.pot, pocket: drill.task.pocket } };
}

/** A stroke with one error and no other. The presets' cues do not squirt, so side leaves the line alone. */
function injected(strike: Strike, error: StrokeError, sizes: ExecutionError, z: number): Strike {
  switch (error) {
    case 'pace':
      return { ...strike, speed: strike.speed * (1 + sizes.speed * z) };
    case 'line':
      return { ...strike, direction: strike.direction + ((sizes.directionDeg * Math.PI) / 180) * z };
    case 'side':
      return { ...strike, tip: { ...strike.tip, side: strike.tip.side + sizes.tip * z } };
    case 'height':
      return { ...strike, tip: { ...strike.tip, height: strike.tip.height + sizes.tip * z } };
  }
}

/** How a stroke really ends; undefined when the cue ball is lost. */
function played(shot: Shot, strike: Strike, task: { object: string; pocket: string }) {
  const { rest } = simulate({ ...shot, strike });
  const cue = rest.find(({ id }) => id === strike.ball);
  if (cue === undefined || cue.pocket !== null || cue.offTable) return undefined;
  return {
    at: { x: cue.x, y: cue.y },
    potted: rest.some(({ id, pocket }) => id === task.object && pocket === task.pocket),
  };
}

describe('why a shot ended where it did', () => {
  const table = buildTable('pool-9ft');
  const sizes = executionErrorOf('team', 'pool');
  const shot = shotOf(table, [cueBall(1.3, 0.635), ball('1', 0.8, 0.635), ball('2', 2.3, 0.2)], {
    speed: 1.6,
    direction: Math.PI,
    tip: { side: 0, height: 0.1 },
  });
  const straight = { object: '1', pocket: 'none' };

  it('is not told where pace and height both only carry the cue ball farther on one line', () => {
    const cloud = strokeCloud(shot, { object: '1', pocket: 'head-left' }, sizes);
    let open = 0;
    for (const error of ['pace', 'height'] as const) {
      for (const z of [-2.2, -2, 2, 2.2]) {
        const end = played(shot, injected(shot.strike, error, sizes, z), straight);
        if (end === undefined) throw new Error('the cue ball is lost');
        const answer = attribute(cloud, end.at, false);
        expect(answer.kind).not.toBe('on plan');
        if (answer.kind === 'cannot tell') open++;
      }
    }
    expect(open).toBeGreaterThanOrEqual(6);
  });

  it('says how much: sixteen per cent too hard is told as about that', () => {
    const { shot: plan, task } = planned('harbour-turn');
    const curves = strokeCloud(plan, task, sizes);
    const end = played(plan, { ...plan.strike, speed: plan.strike.speed * 1.16 }, task);
    if (end === undefined) throw new Error('the cue ball is lost');
    const answer = attribute(curves, end.at, end.potted);
    expect(answer).toMatchObject({ kind: 'told', error: 'pace', cause: 'too hard' });
    if (answer.kind === 'told') expect(answer.amount).toBeCloseTo(0.16, 1);
  });

  it('has nothing to say about a landing on the plan, nor about one that no single error explains', () => {
    const { shot: plan, task } = planned('harbour-turn');
    const curves = strokeCloud(plan, task, sizes);
    const near = { x: curves.planned.x + 0.02, y: curves.planned.y };
    expect(attribute(curves, near, true)).toEqual({ kind: 'on plan' });
    expect(attribute(curves, { x: 2.45, y: 1.2 }, true)).toEqual({ kind: 'cannot tell', between: [] });
  });
});
