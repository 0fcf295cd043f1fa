import { normalCdf, normalQuantile } from '../math/normal.ts';
import { CARD_VALUES } from '../table/cardValues.ts';
import type { TablePreset } from '../table/preset.ts';
import type { MotionParameters } from '../table/parameters.ts';
import type { Table } from '../table/table.ts';

/** The numbers of a table that rolling balls can tell. */
export const TABLE_UNKNOWNS = [
  'rollingFriction',
  'slidingFriction',
  'cushionRestitution',
  'cushionRestitutionFall',
  'cushionFriction',
  'ballFriction',
] as const;
export type TableUnknown = (typeof TABLE_UNKNOWNS)[number];

/** How far tables of a kind differ from what their kind has, before anything is measured: standard deviations, our own estimate. */
const SPREAD: Readonly<Record<TableUnknown, { readonly share: number } | { readonly by: number }>> = {
  rollingFriction: { share: 0.25 },
  slidingFriction: { share: 0.15 },
  cushionRestitution: { by: 0.035 },
  cushionRestitutionFall: { by: 0.008 },
  cushionFriction: { share: 0.25 },
  ballFriction: { share: 0.3 },
};

/** The mass of a cue's end while nobody knows, and what cues differ by, kg: our own estimate. */
const END_MASS = { before: 0.006, spread: 0.003 };

/** The cue of shots of which nobody said with which they were played. */
export const NO_NAMED_CUE = 'cue';

/** A number that is looked for: what is known before, as a normal distribution between the bounds of what a card may hold. */
export interface Unknown {
  /** One of the table's, or a cue's end. */
  readonly name: TableUnknown | 'endMass';
  /** The cue whose end it is; undefined for numbers of the table. */
  readonly cue: string | undefined;
  readonly before: number;
  readonly spread: number;
}

/**
 * What is looked for at a table with some cues.
 * @param preset with the numbers that its card gives, which are believed until something is measured
 * @param cues by their names
 */
export function unknownsOf(preset: TablePreset, cues: readonly string[]): readonly Unknown[] {
  const table = TABLE_UNKNOWNS.map((name): Unknown => {
    const before = CARD_VALUES[name].read(preset);
    const spread = SPREAD[name];
    return { name, cue: undefined, before, spread: 'by' in spread ? spread.by : spread.share * before };
  });
  const ends = cues.map((cue): Unknown => ({ name: 'endMass', cue, ...END_MASS }));
  return [...table, ...ends];
}

/**
 * The table as it would be with some values of the unknowns, for a shot with one of the cues.
 * @param values one for each unknown, SI
 */
export function tableWith(
  table: Table,
  unknowns: readonly Unknown[],
  values: readonly number[],
  cue: string | undefined,
): Table {
  let parameters: MotionParameters = table.parameters;
  unknowns.forEach(({ name, cue: own }, i) => {
    const value = values[i] ?? 0;
    if (name === 'ballFriction')
      parameters = { ...parameters, ballFriction: { ...parameters.ballFriction, b: value } };
    else if (name !== 'endMass') parameters = { ...parameters, [name]: value };
    else if (own === cue) parameters = { ...parameters, endMass: value };
  });
  return { ...table, parameters };
}

/**
 * The value at a place of the standard normal distribution: as likely to be exceeded by what is known before, which is a normal
 * distribution without what lies beyond the card's bounds. So a number near its bound needs no cutting off, and an interval in
 * spreads is one in values.
 * @param at in standard deviations @returns SI, inside what the simulator can play
 */
export function valueOf({ name, before, spread }: Unknown, at: number): number {
  const { least, most } = CARD_VALUES[name];
  const [below, above] = [normalCdf((least - before) / spread), normalCdf((most - before) / spread)];
  const value = before + spread * normalQuantile(below + normalCdf(at) * (above - below));
  return Math.min(most, Math.max(least, value));
}
