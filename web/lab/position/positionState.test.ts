import { expect, it } from 'vitest';
import { simulate } from '../../../core/motion/simulate.ts';
import { buildTable } from '../../../core/table/table.ts';
import { firstShot, moveBall } from '../../table/labShot.ts';
import { positionReducer, startPosition, type PositionAction, type PositionState } from './positionState.ts';

const shot = firstShot(buildTable('pool-9ft'));
const start = startPosition({ shot, chosen: undefined });
const after = (...actions: PositionAction[]): PositionState => actions.reduce(positionReducer, start);

it('undo brings back the stroke together with the side of the pocket at which it was aimed', () => {
  const taken = after({ kind: 'stroke', part: { speed: 3.3 }, pocketSide: 0.6 });
  expect(taken.steps.present).toMatchObject({ pocketSide: 0.6, shot: { strike: { speed: 3.3 } } });
  const changed = positionReducer(taken, { kind: 'stroke', part: { speed: 2 }, pocketSide: 0 });
  const back = positionReducer(changed, { kind: 'undo' });
  expect(back.steps.present).toEqual(taken.steps.present);
  expect(positionReducer(back, { kind: 'undo' }).steps.present).toEqual(start.steps.present);
  expect(positionReducer(back, { kind: 'redo' }).steps.present).toEqual(changed.steps.present);
});

it('takes another stroke at the balls as they lie now, as one step', () => {
  const moved = moveBall(shot, '1', { x: 1, y: 1 });
  const taken = after(
    { kind: 'change', shot: moved },
    { kind: 'stroke', part: { speed: 3.3 }, pocketSide: 0 },
  );
  expect(taken.steps.present.shot.balls).toEqual(moved.balls);
  expect(positionReducer(taken, { kind: 'undo' }).steps.present.shot).toEqual(moved);
});

it('what is drawn of other strokes goes with the step that it was asked for, also by undo', () => {
  const drawn: PositionAction[] = [
    { kind: 'beside', route: 1 },
    { kind: 'show', result: simulate(shot) },
  ];
  const moved: PositionAction = { kind: 'change', shot: moveBall(shot, '1', { x: 1, y: 1 }) };
  expect(after(...drawn)).toMatchObject({ beside: 1, shown: { complete: true } });
  for (const then of [
    [...drawn, moved],
    [moved, ...drawn, { kind: 'undo' } as const],
    [moved, { kind: 'undo' } as const, ...drawn, { kind: 'redo' } as const],
    [...drawn, { kind: 'stroke', part: { speed: 1 }, pocketSide: 0 } as const],
  ]) {
    expect(after(...then)).toMatchObject({ beside: undefined, shown: undefined });
  }
  // Where there is nothing to undo, nothing changes.
  expect(after(...drawn, { kind: 'undo' })).toMatchObject({ beside: 1 });
});

it('all that is dragged in one go is one step back', () => {
  const drag = [1, 1.1, 1.2].map((x, i): PositionAction => ({
    kind: 'change',
    shot: moveBall(shot, '1', { x, y: 1 }),
    sameStep: i > 0,
  }));
  const dragged = after(...drag);
  expect(dragged.steps.past).toHaveLength(1);
  expect(positionReducer(dragged, { kind: 'undo' }).steps.present.shot).toEqual(shot);
});
