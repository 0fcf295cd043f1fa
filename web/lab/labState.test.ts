import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contactDistance } from '../../core/motion/ballBall.ts';
import { standardCard, tableOfCard } from '../../core/table/card.ts';
import { buildTable } from '../../core/table/table.ts';
import { simulate } from '../../core/motion/simulate.ts';
import {
  addableBalls,
  addBall,
  firstShot,
  freePlace,
  moveBall,
  onTable,
  removeBall,
  shotFromLink,
  shotToLink,
} from '../table/labShot.ts';
import { withStrike } from './labState.ts';
import { startStroke, strokeReducer, type StrokeState } from './stroke/strokeState.ts';

const shotIn = ({ steps }: StrokeState) => steps.present.shot;

describe('the lab', () => {
  it('undone to the start and redone to the end is the same', () => {
    const move = fc.record({
      id: fc.constantFrom('cue', '1', '2'),
      x: fc.double({ min: -1, max: 4, noNaN: true }),
      y: fc.double({ min: -1, max: 3, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(move, { minLength: 1, maxLength: 12 }), (moves) => {
        let state: StrokeState = startStroke({ shot: firstShot(buildTable('pool-9ft')), chosen: undefined });
        for (const { id, x, y } of moves)
          state = strokeReducer(state, { kind: 'change', shot: moveBall(shotIn(state), id, { x, y }) });
        const end = shotIn(state);
        for (let i = 0; i < moves.length; i++) state = strokeReducer(state, { kind: 'undo' });
        expect(shotIn(state)).toEqual(firstShot(buildTable('pool-9ft')));
        for (let i = 0; i < moves.length; i++) state = strokeReducer(state, { kind: 'redo' });
        expect(shotIn(state)).toEqual(end);
      }),
      { seed: 5, numRuns: 60 },
    );
  });

  it('takes the balls to another table: their sizes and its cloth change, their places only if they must', () => {
    const shot = firstShot(buildTable('pool-9ft'));
    const worn = tableOfCard(
      { ...standardCard('pool-9ft'), ballSet: 'large cue ball', clothSpeed: 'slow' },
      null,
    );
    const there = onTable(shot, worn);
    expect(there.balls.map(({ x, y }) => [x, y])).toEqual(shot.balls.map(({ x, y }) => [x, y]));
    expect(there.balls[0]?.radius).toBeCloseTo(0.03015, 9);
    expect(there.table.parameters.rollingFriction).toBe(0.013);
    expect(onTable(shot, buildTable('snooker-12ft'))).toEqual(firstShot(buildTable('snooker-12ft')));
    // A larger ball that would stand in its neighbour is moved off it.
    const close = moveBall(shot, 'cue', { x: (shot.balls[1]?.x ?? 0) - 0.01, y: shot.balls[1]?.y ?? 0 });
    expect(() => simulate(onTable(close, worn))).not.toThrow();
  });

  it('undo after a change of table brings the old table back', () => {
    const shot = firstShot(buildTable('pool-9ft'));
    const chosen = { key: 'pool-9ft', card: standardCard('pool-9ft'), conditions: null };
    const damp = { ...chosen, conditions: { air: 'damp', warmth: 'ordinary', balls: 'ordinary' } as const };
    const wet = onTable(shot, tableOfCard(damp.card, damp.conditions));
    const changed = strokeReducer(startStroke({ shot, chosen }), {
      kind: 'set up',
      position: { shot: wet, chosen: damp },
    });
    expect(shotIn(changed).table.parameters.rollingFriction).toBeCloseTo(0.0112, 9);
    expect(strokeReducer(changed, { kind: 'undo' }).steps.present).toMatchObject({ shot, chosen });
  });

  it('never puts a ball off the cloth or into another one, wherever it is dragged', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 4, noNaN: true }),
        fc.double({ min: -1, max: 3, noNaN: true }),
        (x, y) => {
          const shot = moveBall(firstShot(buildTable('eight-7ft')), 'cue', { x, y });
          const [cue, ...others] = shot.balls;
          for (const other of others) {
            const least = contactDistance(cue?.radius ?? 0, other.radius);
            expect(Math.hypot((cue?.x ?? 0) - other.x, (cue?.y ?? 0) - other.y)).toBeGreaterThan(
              least - 1e-6,
            );
          }
          expect(() => simulate(shot)).not.toThrow();
        },
      ),
      { seed: 6, numRuns: 200 },
    );
  });

  it('adds and takes away balls, and offers those that are not there', () => {
    const shot = addBall(firstShot(buildTable('snooker-12ft')), 'black');
    expect(addableBalls(shot)).not.toContain('black');
    expect(simulate(shot).complete).toBe(true);
    expect(addableBalls(removeBall(shot, 'black'))).toContain('black');
    const spot = freePlace(shot, 'pink', shot.balls[1] ?? { x: 0, y: 0 });
    expect(Math.hypot(spot.x - (shot.balls[1]?.x ?? 0), spot.y - (shot.balls[1]?.y ?? 0))).toBeGreaterThan(
      0.05,
    );
  });

  it('goes into an address and comes back from it; anything else is no shot', () => {
    const shot = withStrike(firstShot(buildTable('pool-9ft')), {
      speed: 3.5,
      tip: { side: 0.2, height: -0.1 },
    });
    const back = shotFromLink(shotToLink(shot));
    expect(back?.balls).toEqual(shot.balls);
    expect(back?.strike.tip).toEqual(shot.strike.tip);
    expect(back?.strike.direction).toBeCloseTo(shot.strike.direction, 12);
    expect(shotFromLink('nonsense')).toBeUndefined();
    expect(shotFromLink('')).toBeUndefined();
  });
});
