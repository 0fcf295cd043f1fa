import {
  buildCushions,
  buildPlainCushions,
  cushionPieces,
  type Cushion,
  type CushionPiece,
} from './cushions.ts';
import { buildPockets, type Pocket, type PocketName } from './pockets.ts';
import type { MotionParameters } from './parameters.ts';
import type { PresetId, TablePreset } from './preset.ts';
import { TABLE_PRESETS } from './presets.ts';

/** A table as the simulator and the drawing know it. */
export interface Table {
  readonly preset: TablePreset;
  readonly length: number;
  readonly width: number;
  readonly cushions: readonly Cushion[];
  readonly pieces: readonly CushionPiece[];
  readonly pockets: readonly Pocket[];
  readonly parameters: MotionParameters;
}

/**
 * Builds a table from a preset.
 * @param overrides parameters measured on the real table that replace the preset's
 */
export function buildTable(id: PresetId, overrides: Partial<MotionParameters> = {}): Table {
  return buildCustomTable(TABLE_PRESETS[id], overrides, true);
}

/**
 * Builds a table from any description.
 * @param pockets false for a table whose cushions run from corner to corner
 */
export function buildCustomTable(
  preset: TablePreset,
  overrides: Partial<MotionParameters>,
  pockets: boolean,
): Table {
  const cushions = pockets ? buildCushions(preset) : buildPlainCushions(preset);
  return {
    preset,
    length: preset.length,
    width: preset.width,
    cushions,
    pieces: cushionPieces(cushions),
    pockets: pockets ? buildPockets(preset) : [],
    parameters: { ...preset.parameters, ...overrides },
  };
}

const endless = new WeakMap<Table, Table>();

/** The same cloth without cushions and pockets: an endless bed, for aiming. The same table gives the same bed. */
export function withoutCushions(table: Table): Table {
  const known = endless.get(table);
  if (known !== undefined) return known;
  const bed = { ...table, pieces: [], pockets: [] };
  endless.set(table, bed);
  return bed;
}

export function pocketNamed(table: Table, name: PocketName): Pocket {
  const pocket = table.pockets.find((candidate) => candidate.name === name);
  if (pocket === undefined) throw new RangeError(`pocketNamed: the table has no pocket ${name}`);
  return pocket;
}

/**
 * A text that is equal for two tables exactly when balls behave alike on them; results of unlike tables are
 * never compared without saying so. Sizes stand in it where they are not those of the kind of table.
 */
export function tableFingerprint(table: Table): string {
  const { parameters: p, preset } = table;
  const own = sizesOf(TABLE_PRESETS[preset.id]);
  const other = Object.entries(sizesOf(preset)).filter(([name, size]) => own[name] !== size);
  return [
    preset.id,
    p.slidingFriction,
    p.rollingFriction,
    p.spinDeceleration,
    p.ballRestitution,
    p.ballFriction.a,
    p.ballFriction.b,
    p.ballFriction.c,
    p.cushionRestitution,
    p.cushionRestitutionFall,
    p.cushionFriction,
    p.noseHeight,
    p.bedRestitution,
    p.endMass,
    p.gravity,
    ...other.map(([name, size]) => `${name}=${String(size)}`),
  ].join('|');
}

function sizesOf(preset: TablePreset): Readonly<Record<string, number>> {
  const { length, width, ballRadius, ballMass, cueBallRadius, cueBallMass, corner, middle } = preset;
  return {
    length,
    width,
    ballRadius,
    ballMass,
    cueBallRadius,
    cueBallMass,
    cornerMouth: corner.mouth,
    cornerShelf: corner.shelf,
    middleMouth: middle.mouth,
    middleShelf: middle.shelf,
  };
}
