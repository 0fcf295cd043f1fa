import { buildCushions, cushionPieces, type Cushion, type CushionPiece } from './cushions.ts';
import { buildPockets, type Pocket, type PocketName } from './pockets.ts';
import type { MotionParameters } from './parameters.ts';
import { TABLE_PRESETS, type PresetId, type TablePreset } from './preset.ts';

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
  const preset = TABLE_PRESETS[id];
  const cushions = buildCushions(preset);
  return {
    preset,
    length: preset.length,
    width: preset.width,
    cushions,
    pieces: cushionPieces(cushions),
    pockets: buildPockets(preset),
    parameters: { ...preset.parameters, ...overrides },
  };
}

/** The same cloth without cushions and pockets: an endless bed, for aiming. */
export function withoutCushions(table: Table): Table {
  return { ...table, pieces: [], pockets: [] };
}

export function pocketNamed(table: Table, name: PocketName): Pocket {
  const pocket = table.pockets.find((candidate) => candidate.name === name);
  if (pocket === undefined) throw new RangeError(`pocketNamed: the table has no pocket ${name}`);
  return pocket;
}

/**
 * A text that is equal for two tables exactly when balls behave alike on them; results of unlike tables are
 * never compared without saying so.
 */
export function tableFingerprint(table: Table): string {
  const { parameters: p } = table;
  return [
    table.preset.id,
    p.slidingFriction,
    p.rollingFriction,
    p.spinDeceleration,
    p.ballRestitution,
    p.ballFriction.a,
    p.ballFriction.b,
    p.ballFriction.c,
    p.cushionRestitution,
    p.cushionFriction,
    p.noseHeight,
    p.gravity,
  ].join('|');
}
