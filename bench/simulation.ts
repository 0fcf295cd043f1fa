import { simulate } from '../core/motion/simulate.ts';
import type { Shot, SimulateOptions } from '../core/motion/shot.ts';
import { loadRapier, stepInRapier } from './rapier.ts';
import { timed, type Figure } from './report.ts';
import { breakShot, positionShot, snookerShot } from './shots.ts';

interface Kind {
  readonly name: string;
  readonly shot: (i: number) => Shot;
  readonly options?: SimulateOptions;
  /** Shots a run, and shots of the other engine. */
  readonly count: number;
  readonly compared: number;
  readonly wanted: string;
}

const KINDS: readonly Kind[] = [
  { name: 'simulate.position', shot: positionShot, count: 40_000, compared: 12, wanted: 'at least 50,000' },
  { name: 'simulate.snooker', shot: snookerShot, count: 16_000, compared: 4, wanted: 'at least 20,000' },
  {
    name: 'simulate.break',
    shot: (i) => breakShot(i, false),
    // Gaps of a few tenths of a millimetre, every blow passed through one contact after the other.
    options: { contactPhase: false },
    count: 1_500,
    compared: 2,
    wanted: 'at least 2,000',
  },
  {
    name: 'simulate.break.contact',
    shot: (i) => breakShot(i, true),
    count: 300,
    compared: 2,
    wanted: 'at least 300',
  },
];

/** Shots a second of one kind, and how many times faster that is than a general-purpose engine on the same balls. */
async function measure({ name, shot, options, count, compared, wanted }: Kind): Promise<Figure> {
  await loadRapier();
  const seconds = timed(() => {
    for (let i = 0; i < count; i++) simulate(shot(i), options);
  });
  const others = timed(() => {
    for (let i = 0; i < compared; i++) stepInRapier(shot(i), simulate(shot(i), options).duration);
  }, 3);
  const value = count / seconds;
  return { name, value, unit: 'shots/s', wanted, ratio: value / (compared / others) };
}

export const simulations = Object.fromEntries(KINDS.map((kind) => [kind.name, () => measure(kind)]));
