import type { BallOnTable, Shot } from '../core/motion/shot.ts';
import { contactDistance } from '../core/motion/ballBall.ts';
import { simulate } from '../core/motion/simulate.ts';
import { checkShot, InvalidShotError } from '../core/motion/validate.ts';
import { leftOnTable } from '../core/planning/aftermath.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { drawnRack } from '../core/rack/drawnRack.ts';
import type { RackKind } from '../core/rack/rack.ts';
import { RACK_QUALITIES, RACKERS } from '../core/rack/rackers.ts';
import { createRandom, type Random } from '../core/random/random.ts';
import { FROM_THE_RAIL } from '../core/testing/breakStroke.ts';
import { buildTable, type Table } from '../core/table/table.ts';
import { breakShot, type BreakStroke } from '../core/virtual/breaks/breakShot.ts';
import { studyBreak } from '../core/virtual/breaks/breakStudy.ts';
import { atLeast, atMost, told, type Asked, type Figure } from './figure.ts';

const BREAKS = 20_000;
const STUDIED = 400;
/** An overlap below this is rounding, metres. */
const ROUNDING = 1e-9;

const RACKS: readonly (readonly [RackKind, Table])[] = [
  ['nine', buildTable('pool-9ft')],
  ['eight', buildTable('pool-9ft')],
  ['eight on the spot', buildTable('eight-7ft')],
  ['reds', buildTable('snooker-12ft')],
];

const NEAR_THE_RAIL = (table: Table, y: number): BreakStroke => ({
  ...FROM_THE_RAIL,
  from: { x: table.length / 4, y },
});

/** A break of a rack by any racker, from anywhere along a line, at any pace. */
function anyBreak(kind: RackKind, table: Table, random: Random): Shot {
  const racker = RACKERS[Math.floor(RACKERS.length * random.uniform())] ?? 'template';
  const racked = drawnRack({ kind, quality: RACK_QUALITIES[racker] }, table.preset, random);
  return breakShot(table, racked, {
    ...NEAR_THE_RAIL(table, (0.1 + 0.8 * random.uniform()) * table.width),
    covered: 0.3 + 0.7 * random.uniform(),
    past: random.uniform() < 0.5 ? 'left' : 'right',
    speed: 2 + 7 * random.uniform(),
    tip: { side: 0.6 * (random.uniform() - 0.5), height: 0.6 * (random.uniform() - 0.5) },
  });
}

/** How far two balls lie in each other at most, metres; below 0 where none do. */
function deepest(balls: readonly BallOnTable[]): number {
  let most = -Infinity;
  for (const [i, a] of balls.entries()) {
    for (const b of balls.slice(i + 1)) {
      most = Math.max(most, contactDistance(a.radius, b.radius) - Math.hypot(a.x - b.x, a.y - b.y));
    }
  }
  return most;
}

/** Whether a stroke can be played with balls as they lie. */
function canGoOn(shot: Shot, left: readonly BallOnTable[]): boolean {
  const cue = left.find(({ id }) => id === shot.strike.ball);
  if (cue === undefined) return true;
  const next = { ...shot, balls: left };
  try {
    checkShot(next);
    return simulate(next, { events: false }).complete;
  } catch (error) {
    if (error instanceof InvalidShotError) return false;
    throw error;
  }
}

/** Balls after breaks lie apart and can be played on; racks do what was measured of them; left and right are alike. */
export function breaks({ seed, size }: Asked): readonly Figure[] {
  const root = createRandom(seed);
  const each = Math.max(1, Math.round((size * BREAKS) / RACKS.length));
  let [overlaps, refused] = [0, 0];
  for (const [r, [kind, table]] of RACKS.entries()) {
    for (let k = 0; k < each; k++) {
      const shot = anyBreak(kind, table, root.fork(r * BREAKS + k));
      const left = leftOnTable(shot.balls, simulate(shot, { events: false }).rest);
      if (deepest(left) > ROUNDING) overlaps++;
      if (!canGoOn(shot, left)) refused++;
    }
  }
  const table = buildTable('pool-9ft');
  const n = Math.max(20, Math.round(size * STUDIED));
  const inBy = (mm: number, level: 'match' | 'title', mirrored = false) =>
    studyBreak({
      table,
      rack: { kind: 'nine', quality: { gap: mm * 1e-3, offset: 0, tilt: 0 } },
      stroke: NEAR_THE_RAIL(table, mirrored ? table.width - 0.12 : 0.12),
      error: executionErrorOf(level, 'pool'),
      breaks: n,
      seed: seed + 1,
    }).near.in;
  const [tight, template, hand] = [inBy(0, 'match'), inBy(0.05, 'match'), inBy(0.2, 'match')];
  return [
    told('breaks.played', RACKS.length * each, 'breaks'),
    atMost('breaks.overlaps', overlaps, 0, 'tables'),
    atMost('breaks.refused', refused, 0, 'following shots'),
    atLeast('breaks.wing.tight', tight, 0.9, 'of wing balls, match level'),
    told('breaks.wing.template', template, 'of wing balls, gaps to 0.05 mm'),
    atMost('breaks.wing.hand', hand, 0.45, 'of wing balls, gaps to 0.2 mm'),
    atMost('breaks.mirror', Math.abs(template - inBy(0.05, 'match', true)), 0.1, 'from the other side'),
  ];
}
