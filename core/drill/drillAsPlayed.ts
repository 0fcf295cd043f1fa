import type { Drill } from '../records/drill.ts';
import type { PresetId } from '../table/preset.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { mirrorDrill } from './mirror.ts';

/** How a round sets its drill: as it is written, or in a mirror for the other hand; and on which kind of table. */
export interface RoundSetting {
  readonly mirrored: boolean;
  readonly table: { readonly preset: PresetId };
}

/** A drill as a round sets it. @param drill as it is written, at any stage */
export function drillAsPlayed<D extends Drill>(drill: D, { mirrored, table }: RoundSetting): D {
  return mirrored ? mirrorDrill(drill, TABLE_PRESETS[table.preset].width) : drill;
}
