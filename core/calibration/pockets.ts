import { executed } from '../player/execute.ts';
import type { ExecutionError } from '../player/levels.ts';
import { simulate } from '../motion/simulate.ts';
import type { Shot } from '../motion/shot.ts';
import { createRandom, type Random } from '../random/random.ts';
import { CARD_VALUES } from '../table/cardValues.ts';
import { buildCustomTable, type Table } from '../table/table.ts';
import type { PocketName } from '../table/pockets.ts';

/** Kinds of pockets: each has a mouth of its own. */
export const POCKET_KINDS = ['corner', 'middle'] as const;
export type PocketKind = (typeof POCKET_KINDS)[number];

/** A ball that was rolled at a pocket so far beside the way that falls for sure. */
export interface PocketTry {
  /** Metres: from the nose of the long cushion for a corner, beside the middle of the pocket for a middle one. */
  readonly beside: number;
  readonly hasFallen: boolean;
}

/** What is known of a mouth, metres. */
export interface MouthEstimate {
  readonly mouth: number;
  readonly deviation: number;
  /** Bounds of the 90 % interval. */
  readonly low: number;
  readonly high: number;
}

/** Mouths of a kind of table differ from its card's by so much, metres, as a standard deviation: our own estimate. */
const SPREAD = 0.003;
/** Mouths that are thought of, in steps of so many metres to both sides of the card's. */
const STEP = 0.001;
const STEPS = 9;
/** A ball is set to so much, metres, beside where the tape says. */
const SETTING = 0.0015;
/** Ways beside which are offered, metres apart, and how often each is played for each mouth. */
const OFFERED = 0.003;
const PLAYED = 100;
/** How far before the pocket the ball is set, metres, and how hard it is struck, m/s: it would roll half a metre beyond. */
export const RUN_UP = 0.45;
const SPEED = 0.55;

/** The pocket at which a kind is tried. */
export const TRIED: Readonly<Record<PocketKind, PocketName>> = {
  corner: 'foot-right',
  middle: 'middle-right',
};

/** The number of the card that it is. */
export const MOUTH_OF = { corner: 'cornerMouth', middle: 'middleMouth' } as const;

const valueOf = (kind: PocketKind) => CARD_VALUES[MOUTH_OF[kind]];

/** A table as it is but for a mouth, metres. */
export function withMouth({ preset, parameters }: Table, kind: PocketKind, mouth: number): Table {
  return buildCustomTable(valueOf(kind).write(preset, mouth), parameters, true);
}

/**
 * The shot of a try: a ball rolled slowly along the long cushion into the corner, or straight at the middle pocket.
 * @param beside metres, as in PocketTry
 */
export function pocketShot(table: Table, kind: PocketKind, beside: number): Shot {
  const { length, preset } = table;
  const at = kind === 'corner' ? { x: length - RUN_UP, y: beside } : { x: length / 2 + beside, y: RUN_UP };
  return {
    table,
    balls: [{ id: 'cue', ...at, radius: preset.cueBallRadius, mass: preset.cueBallMass }],
    strike: {
      ball: 'cue',
      speed: SPEED,
      direction: kind === 'corner' ? 0 : -Math.PI / 2,
      tip: { side: 0, height: 0 },
      elevation: 0,
    },
  };
}

/** Whether the ball of a try falls, played with some errors. */
function falls(
  table: Table,
  kind: PocketKind,
  beside: number,
  error: ExecutionError,
  random: Random,
): boolean {
  const least = table.preset.cueBallRadius + 1e-4;
  const set = beside + SETTING * random.normal();
  const shot = pocketShot(table, kind, kind === 'corner' ? Math.max(least, set) : set);
  return simulate(executed(shot, error, random)).rest[0]?.pocket === TRIED[kind];
}

/** The ways beside that are offered, metres, from those that fall at any mouth to those that fall at none. */
export function offeredWays({ preset }: Table, kind: PocketKind): readonly number[] {
  const radius = preset.cueBallRadius;
  const mouth = valueOf(kind).read(preset);
  const from = kind === 'corner' ? radius + OFFERED : 0;
  return Array.from({ length: Math.ceil((mouth - from) / OFFERED) }, (_, i) => from + i * OFFERED);
}

/** How likely the ball falls, for each offered way and each mouth that is thought of. */
export interface PocketModel {
  readonly kind: PocketKind;
  readonly mouths: readonly number[];
  readonly ways: readonly number[];
  /** By way, then by mouth; 0…1. */
  readonly chances: readonly (readonly number[])[];
}

/**
 * Plays what may happen: every way at every mouth, often.
 * @param table as its card has it @param error of whoever rolls the ball
 */
export function pocketModel(table: Table, kind: PocketKind, error: ExecutionError, seed = 1): PocketModel {
  const own = valueOf(kind).read(table.preset);
  const mouths = Array.from({ length: 2 * STEPS + 1 }, (_, i) => own + (i - STEPS) * STEP);
  const tables = mouths.map((mouth) => withMouth(table, kind, mouth));
  const ways = offeredWays(table, kind);
  const chances = ways.map((beside) =>
    tables.map((on) => {
      // The same errors for all: a wider mouth then takes no fewer balls by chance.
      const random = createRandom(seed);
      const fell = Array.from({ length: PLAYED }, () => falls(on, kind, beside, error, random));
      return (fell.filter(Boolean).length + 0.5) / (PLAYED + 1);
    }),
  );
  return { kind, mouths, ways, chances };
}

/** How likely each mouth is, after some tries: Bayes' rule on the grid. */
function posterior({ mouths, ways, chances }: PocketModel, tries: readonly PocketTry[]): readonly number[] {
  const weights = mouths.map((_, m) => {
    const before = Math.exp(-0.5 * (((m - STEPS) * STEP) / SPREAD) ** 2);
    return tries.reduce((product, { beside, hasFallen }) => {
      const chance = chances[nearestWay(ways, beside)]?.[m] ?? 0.5;
      return product * (hasFallen ? chance : 1 - chance);
    }, before);
  });
  const sum = weights.reduce((total, each) => total + each, 0);
  return weights.map((each) => each / sum);
}

function nearestWay(ways: readonly number[], beside: number): number {
  return ways.reduce(
    (best, way, i) => (Math.abs(way - beside) < Math.abs((ways[best] ?? 0) - beside) ? i : best),
    0,
  );
}

/** The mouth as the tries have it, with its 90 % interval. */
export function estimateMouth(model: PocketModel, tries: readonly PocketTry[]): MouthEstimate {
  const shares = posterior(model, tries);
  const mouth = model.mouths.reduce((sum, each, i) => sum + each * (shares[i] ?? 0), 0);
  const variance = model.mouths.reduce((sum, each, i) => sum + (each - mouth) ** 2 * (shares[i] ?? 0), 0);
  // A grid has no points between: what lies within half a step of one belongs to it.
  const deviation = Math.sqrt(variance + STEP ** 2 / 12);
  return { mouth, deviation, low: mouth - 1.645 * deviation, high: mouth + 1.645 * deviation };
}

/** The way beside from which one more try tells most: where mouths disagree most about whether it falls. */
export function nextTry(model: PocketModel, tries: readonly PocketTry[]): number {
  const shares = posterior(model, tries);
  const entropy = (p: number) => (p <= 0 || p >= 1 ? 0 : -p * Math.log(p) - (1 - p) * Math.log(1 - p));
  const told = model.chances.map((byMouth) => {
    const mean = byMouth.reduce((sum, p, m) => sum + p * (shares[m] ?? 0), 0);
    // Mutual information of the mouth and of one try (Lindley 1956).
    return entropy(mean) - byMouth.reduce((sum, p, m) => sum + entropy(p) * (shares[m] ?? 0), 0);
  });
  const best = told.reduce((at, value, i) => (value > (told[at] ?? 0) ? i : at), 0);
  return model.ways[best] ?? 0;
}

/** A made-up try at a table as it really is, for tests and sample data. */
export function madeUpTry(
  real: Table,
  kind: PocketKind,
  beside: number,
  error: ExecutionError,
  random: Random,
): PocketTry {
  return { beside, hasFallen: falls(real, kind, beside, error, random) };
}
