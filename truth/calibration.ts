import { BY_HAND, errorOf, readOff, type Reading } from '../core/calibration/reading.ts';
import { fitTable, type Fit } from '../core/calibration/fit.ts';
import { guidedError, type PlayedShot } from '../core/calibration/madeUp.ts';
import { guidedShots, type GuidedShot } from '../core/calibration/guidedShots.ts';
import { tableWith, unknownsOf, valueOf, type Unknown } from '../core/calibration/unknowns.ts';
import { simulate } from '../core/motion/simulate.ts';
import { executed } from '../core/player/execute.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { createRandom, type Random } from '../core/random/random.ts';
import { buildTable, type Table } from '../core/table/table.ts';
import { atLeast, atMost, told, within, type Asked, type Figure } from './figure.ts';

const TABLES = 200;
/** How often each shot is played. */
const TIMES = 3;
const CUE = 'house';
/** One reading of a table is off by so much, metres. */
const SLIP = 0.1;
const PLAYER = executionErrorOf('team', 'pool');

/** Guided shots played and read on a table, by a team player with tape and watch. */
function playOn(real: Table, card: Table, random: Random): PlayedShot[] {
  return guidedShots(card).map((guided) => ({
    guided,
    cue: CUE,
    errors: guided.readings.map((reading) => errorOf(reading, BY_HAND)),
    times: Array.from({ length: TIMES }, () => {
      const shot = executed({ ...guided.shot, table: real }, guidedError(PLAYER), random);
      const result = simulate(shot, { paths: true });
      return guided.readings.map((reading) => {
        const value = readOff(result, reading);
        return value === undefined ? undefined : value + errorOf(reading, BY_HAND) * random.normal();
      });
    }),
  }));
}

/** Shots that were not used: position by one cushion, and three cushions, at other places and paces. */
function unused(table: Table): readonly Omit<GuidedShot, 'kind'>[] {
  const [three] = guidedShots(table).filter(({ id }) => id === 'three cushions');
  const [angle] = guidedShots(table).filter(({ id }) => id === 'angle 45 firm');
  if (three === undefined || angle === undefined) throw new RangeError('there are no such shots');
  const rest: Reading[] = [
    { kind: 'rest', ball: 'cue', axis: 'x' },
    { kind: 'rest', ball: 'cue', axis: 'y' },
  ];
  const changed = ({ shot }: GuidedShot, id: string, speed: number, side: number, turned: number) => ({
    id,
    shot: {
      ...shot,
      strike: {
        ...shot.strike,
        speed: shot.strike.speed * speed,
        direction: shot.strike.direction + turned,
        tip: { side, height: 0.1 },
      },
    },
    readings: rest,
  });
  return [
    changed(angle, 'position soft', 0.6, 0, 0.03),
    changed(angle, 'position', 0.8, 0.25, -0.04),
    changed(three, 'three cushions soft', 0.85, -0.3, 0.02),
    changed(three, 'three cushions', 0.95, -0.2, -0.03),
  ];
}

/** Mean distance of where unused shots end from where they end on the real table, metres. */
function errorAgainst(real: Table, believed: Table): number {
  const distances = unused(real).map(({ shot, readings }) => {
    const [a, b] = [real, believed].map((table) => simulate({ ...shot, table }, { paths: true }));
    const parts = readings.map((reading) => {
      const [x, y] = [a && readOff(a, reading), b && readOff(b, reading)];
      return x === undefined || y === undefined ? 0 : x - y;
    });
    return Math.hypot(...parts);
  });
  return distances.reduce((sum, value) => sum + value, 0) / distances.length;
}

const isInside = ({ low, high }: Fit, truth: readonly number[], i: number) =>
  (low[i] ?? 0) <= (truth[i] ?? 0) && (truth[i] ?? 0) <= (high[i] ?? 0);

/** A reading of the first lag that is a decimetre off. */
function withSlip(played: readonly PlayedShot[]): readonly PlayedShot[] {
  return played.map((shot, k) =>
    k === 0
      ? {
          ...shot,
          times: shot.times.map((read, n) =>
            read.map((v, i) => (n === 0 && i === 0 && v !== undefined ? v + SLIP : v)),
          ),
        }
      : shot,
  );
}

/** Made-up tables, played with tape and watch, against what is found of them. */
export function calibration({ seed, size }: Asked): readonly Figure[] {
  const card = buildTable('pool-9ft');
  const unknowns: readonly Unknown[] = unknownsOf(card.preset, [CUE]);
  const count = Math.max(2, Math.round(size * TABLES));
  const inside = unknowns.map(() => 0);
  const moved: number[] = [];
  let [before, after] = [0, 0];
  const root = createRandom(seed);
  for (let n = 0; n < count; n++) {
    const random = root.fork(n);
    const truth = unknowns.map((unknown) => valueOf(unknown, random.normal()));
    const real = tableWith(card, unknowns, truth, CUE);
    const played = playOn(real, card, random);
    const fit = fitTable(card, unknowns, played, PLAYER, { seed: n + 1 });
    unknowns.forEach((_, i) => {
      if (isInside(fit, truth, i)) inside[i] = (inside[i] ?? 0) + 1;
    });
    before += errorAgainst(
      real,
      tableWith(
        card,
        unknowns,
        unknowns.map((unknown) => unknown.before),
        CUE,
      ),
    );
    after += errorAgainst(real, tableWith(card, unknowns, fit.values, CUE));
    if (n % 10 === 0) {
      const slipped = fitTable(card, unknowns, withSlip(played), PLAYER, { seed: n + 1 });
      moved.push(
        Math.max(
          ...unknowns.map(
            (_, i) =>
              (2 * Math.abs((slipped.values[i] ?? 0) - (fit.values[i] ?? 0))) /
              ((fit.high[i] ?? 1) - (fit.low[i] ?? 0)),
          ),
        ),
      );
    }
  }
  return [
    ...unknowns.map(({ name }, i) =>
      within(`calibration.${name}-inside`, (inside[i] ?? 0) / count, [0.86, 0.94], 'share'),
    ),
    told('calibration.error-before', before / count, 'm'),
    told('calibration.error-after', after / count, 'm'),
    atLeast('calibration.improves', 1 - after / before, 0.6, 'share'),
    atMost('calibration.slip-moves', Math.max(...moved), 1, 'half intervals'),
  ];
}
