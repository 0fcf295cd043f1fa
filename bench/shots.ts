import type { BallOnTable, Shot } from '../core/motion/shot.ts';
import { breakRack } from '../core/testing/racks.ts';
import { buildTable } from '../core/table/table.ts';
import { spotsOf } from '../core/table/markings.ts';

/** The kinds of shot whose speed is measured; each varies a little from call to call, so that no two are the same. */
const pool = buildTable('pool-9ft');
const snooker = buildTable('snooker-12ft');

const ballOn = (table: typeof pool, id: string, x: number, y: number): BallOnTable => ({
  id,
  x,
  y,
  radius: table.preset.ballRadius,
  mass: table.preset.ballMass,
});

const POSITION = [ballOn(pool, 'cue', 0.8, 0.5), ballOn(pool, '1', 1.6, 0.7), ballOn(pool, '2', 2, 1)];

/** Three balls on a 9-ft table, one to three cushions, until all is at rest. */
export function positionShot(i: number): Shot {
  const direction = 0.22 + 1e-5 * (i % 3000);
  return {
    table: pool,
    balls: POSITION,
    strike: { ball: 'cue', speed: 2.5, direction, tip: { side: 0, height: 0 }, elevation: 0 },
  };
}

function openPlay(): readonly BallOnTable[] {
  const reds = [
    [2.95, 0.5],
    [3.1, 0.7],
    [2.85, 1.2],
    [3.2, 1.3],
    [2.6, 0.45],
    [2.5, 1.1],
    [2.9, 0.75],
    [3.35, 1.05],
    [2.75, 1.5],
    [3.05, 1.05],
    [2.3, 1.3],
    [2.2, 0.5],
    [2.45, 0.8],
    [3.3, 0.5],
    [2.65, 1.3],
  ] as const;
  return [
    ballOn(snooker, 'cue', 1.3, 0.62),
    ...reds.map(([x, y], i) => ballOn(snooker, `red ${String(i + 1)}`, x, y)),
    ...spotsOf(snooker.preset).map(({ name, at }) => ballOn(snooker, name, at.x, at.y)),
  ];
}

const OPEN_PLAY = openPlay();

/** Twenty-two balls on a 12-ft table, three of them moved: the cue ball cuts a red, which nudges another. */
export function snookerShot(i: number): Shot {
  return {
    table: snooker,
    balls: OPEN_PLAY,
    strike: {
      ball: 'cue',
      speed: 2,
      direction: -0.356 + 8e-7 * (i % 3000),
      tip: { side: 0.1, height: 0.2 },
      elevation: 0,
    },
  };
}

/** Racks are laid once; a break of one differs from the next by a hair of its direction. */
const LOOSE = breakRack(3e-4, 9);
const TIGHT = breakRack(1e-6, 9);

/** Fifteen balls in a triangle, tight or with gaps of some tenths of a millimetre, broken hard. */
export function breakShot(i: number, tight: boolean): Shot {
  const rack = tight ? TIGHT : LOOSE;
  return { ...rack, strike: { ...rack.strike, direction: 1e-5 * (i % 300) } };
}
