import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankDrill } from '../../core/drill/draft.ts';
import { layOut } from '../../core/drill/layout.ts';
import { objectBalls } from '../../core/drill/round.ts';
import { problemsOf } from '../../core/drill/problems.ts';
import type { Drill } from '../../core/records/drill.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { targetPoints } from '../../core/scoring/targetPoints.ts';
import {
  addBall,
  drawnPolygon,
  drawnTarget,
  freeNames,
  offeredNames,
  placeBall,
  placeFor,
  racksFor,
  removeBall,
  shown,
  withRack,
  withTitle,
} from './edits.ts';
import { change, redo, startHistory, undo } from '../controls/history.ts';

const POOL = TABLE_PRESETS['pool-9ft'];
const drill: Drill = { ...blankDrill('pool-9ft'), title: 'Slack water', slug: 'slack-water', purpose: 'x' };
const AREA = { from: { along: 0.1, across: 0.1 }, to: { along: 0.9, across: 0.9 } };

function placeOf(of: Drill, id: string) {
  const ball = layOut(of, POOL).find((each) => each.id === id);
  if (ball === undefined) throw new Error(`no ball ${id}`);
  return ball;
}

describe('what was done', () => {
  it('undone and redone in any order is what a list of all values says', () => {
    const moves = fc.array(
      fc.oneof(
        fc.record({
          kind: fc.constant('change' as const),
          value: fc.integer(),
          step: fc.option(fc.constantFrom('a', 'b'), { nil: undefined }),
        }),
        fc.constantFrom({ kind: 'undo' as const }, { kind: 'redo' as const }),
      ),
      { maxLength: 60 },
    );
    fc.assert(
      fc.property(moves, (list) => {
        let history = startHistory(0);
        let all = [0];
        let at = 0;
        let step: string | undefined;
        for (const move of list) {
          if (move.kind === 'undo') {
            history = undo(history);
            if (at > 0) step = undefined;
            at = Math.max(0, at - 1);
          } else if (move.kind === 'redo') {
            history = redo(history);
            if (at < all.length - 1) step = undefined;
            at = Math.min(all.length - 1, at + 1);
          } else {
            history = change(history, move.value, move.step);
            if (move.value !== all[at]) {
              const same = move.step !== undefined && move.step === step;
              all = [...all.slice(0, same ? at : at + 1), move.value];
              at = all.length - 1;
              step = move.step;
            }
          }
          expect(history.present).toBe(all[at]);
          expect(history.past).toEqual(all.slice(0, at));
          expect(history.future).toEqual(all.slice(at + 1));
        }
      }),
    );
  });
});

describe('a change of a drill', () => {
  it('in the base moves a ball everywhere, in a stage there alone', () => {
    const two = { ...drill, stages: [...drill.stages, ...drill.stages.map((s) => ({ ...s, title: 'Far' }))] };
    const at = placeFor(two, 2, '1', { x: 1, y: 0.4 }, false);
    const moved = placeBall(two, 2, '1', at);
    expect(placeOf(shown(moved, 2), '1').x).toBeCloseTo(1, 3);
    expect(placeOf(shown(moved, 1), '1')).toEqual(placeOf(two, '1'));
    expect(placeOf(moved, '1')).toEqual(placeOf(two, '1'));
    const base = placeBall(two, 'base', '2', at);
    expect(placeOf(shown(base, 1), '2')).toEqual(placeOf(shown(base, 2), '2'));
  });

  it('takes a ball out of a stage, or out of the drill with every trace of it', () => {
    const moved = placeBall(drill, 1, '2', { spot: 'foot' });
    const without = removeBall(moved, 1, '2');
    expect(shown(without, 1).balls.map(({ id }) => id)).toEqual(['cue', '1']);
    expect(without.balls).toHaveLength(3);
    const gone = removeBall(moved, 'base', '2');
    expect(gone.balls.map(({ id }) => id)).toEqual(['cue', '1']);
    expect(gone.stages.map(({ moved: each }) => each)).toEqual([[]]);
  });

  it('leaves a ball where it lies when the one that it lay against goes', () => {
    const touching = addBall(drill, '3');
    const leaning = placeBall(touching, 'base', '3', { beside: '1', towardsDeg: 30, gapMm: 0 });
    const before = placeOf(leaning, '3');
    const after = placeOf(removeBall(leaning, 'base', '1'), '3');
    expect(Math.hypot(after.x - before.x, after.y - before.y)).toBeLessThan(5e-4);
  });

  it('is possible also while a ball lies where the table has no place for it', () => {
    const lost = { ...drill, balls: [...drill.balls, { id: '3', at: { spot: 'blue' as const } }] };
    expect(placeFor(lost, 'base', '3', { x: 1, y: 0.5 }, true)).toHaveProperty('share');
    expect(addBall(lost, '4').balls).toHaveLength(5);
    expect(removeBall(lost, 'base', '3')).toEqual(drill);
    expect(problemsOf(placeBall(lost, 'base', '3', { spot: 'head' }))).toEqual([]);
  });

  it('adds balls under free names, none on another', () => {
    let full = drill;
    for (let i = 0; i < 12; i++) full = addBall(full, freeNames(full)[0] ?? '');
    expect(new Set(full.balls.map(({ id }) => id)).size).toBe(15);
    expect(problemsOf(full)).toEqual([]);
    const colours = freeNames({ ...drill, table: 'snooker-12ft', balls: [] });
    expect(colours.slice(0, 3)).toEqual(['cue', 'red', 'red 2']);
    expect(colours).toContain('black');
  });

  it('racks balls that were placed, and gives them back to nobody: each stands once', () => {
    const leaning = placeBall(addBall(drill, '3'), 'base', '3', { beside: '1', towardsDeg: 30, gapMm: 0 });
    const more = addBall(leaning, '12');
    const racked = withRack(more, 'nine');
    expect(racked.balls.map(({ id }) => id)).toEqual(['cue', '12']);
    expect(objectBalls(racked)).toHaveLength(10);
    expect(problemsOf(racked)).toEqual([]);
    expect(withRack(racked, undefined).rack).toBeNull();
    const thrown = { balls: ['4', '13'], area: AREA, apart: 0 };
    expect(withRack({ ...drill, thrown }, 'nine').thrown?.balls).toEqual(['13']);
    expect(withRack({ ...drill, thrown: { ...thrown, balls: ['4'] } }, 'nine').thrown).toBeNull();
    expect(freeNames(racked)).toEqual(['10', '11', '13', '14', '15']);
  });

  it('at snooker offers every colour and the next red, and no red beside racked ones', () => {
    const snooker: Drill = {
      ...blankDrill('snooker-12ft'),
      title: 'Slack water',
      slug: 'slack-water',
      purpose: 'x',
    };
    const rest = ['yellow', 'green', 'brown', 'pink', 'black'];
    expect(offeredNames(snooker)).toEqual(['red 2', ...rest]);
    const racked = withRack(addBall(snooker, 'red 2'), 'reds');
    expect(racked.balls.map(({ id }) => id)).toEqual(['cue', 'blue']);
    expect(offeredNames(racked)).toEqual(rest);
    expect(racksFor(snooker)).toEqual(['reds']);
    expect(racksFor(drill)).not.toContain('reds');
    const whole = rest.reduce((before, id) => addBall(before, id), racked);
    expect(objectBalls(whole)).toHaveLength(21);
  });

  it('draws targets in which the places count through which they were drawn', () => {
    const [from, to] = [
      { x: 1, y: 0.4 },
      { x: 1.3, y: 0.7 },
    ];
    const middle = { x: 1.15, y: 0.55 };
    const landing: Drill = { ...drill, task: { kind: 'land', pot: null } };
    for (const kind of ['rings', 'rectangle', 'way'] as const) {
      const target = drawnTarget(drill, kind, from, to);
      const inside = kind === 'rings' ? from : middle;
      expect(targetPoints(inside, [target], POOL, []), kind).toBeGreaterThan(0);
      expect(targetPoints({ x: 2.2, y: 1 }, [target], POOL, []), kind).toBe(0);
      expect(problemsOf({ ...landing, targets: [target] })).toEqual([]);
    }
    const along = drawnTarget(drill, 'cushion', { x: 1.9, y: 0.05 }, { x: 1.27, y: 0.2 });
    expect(along).toEqual({ kind: 'cushion', side: 'right', from: 0.5, to: 0.748 });
    const across = drawnTarget(drill, 'cushion', { x: 2.5, y: 0.3175 }, { x: 2.4, y: 0.635 });
    expect(across).toEqual({ kind: 'cushion', side: 'foot', from: 0.25, to: 0.5 });
    const corners = [from, { x: 1.3, y: 0.4 }, to];
    const polygon = drawnPolygon(drill, corners);
    expect(targetPoints({ x: 1.2, y: 0.5 }, [polygon], POOL, [])).toBe(1);
    expect(problemsOf({ ...landing, targets: [polygon] })).toEqual([]);
  });

  it('takes its address from the title until it is saved', () => {
    expect(withTitle(drill, 'High water', false).slug).toBe('high-water');
    expect(withTitle(drill, 'High water', true).slug).toBe('slack-water');
  });
});
