import { setImmediate } from 'node:timers/promises';
import { LRUCache } from 'lru-cache';
import type { LandingSums } from '../../core/calibration/drift.ts';
import { isUnplayable, plannedWay } from '../../core/drill/plannedShot.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import { buildTable } from '../../core/table/table.ts';
import type { StrokeSums } from '../db/queries/calibrations.ts';
import { readableRevision, type StoredDrill } from '../db/queries/drills.ts';
import { epochOf } from '../db/epochs.ts';
import type { Database } from '../db/pool.ts';

/** Metres by drill and stage, 0 for one that has no way; on the kind of table it was written for, as it ships. */
const known = new LRUCache<string, number>({ max: 2_000 });

function wayOf({ document }: StoredDrill, stage: number): number {
  if (document.stages[stage - 1] === undefined) return 0;
  const drill = atStage(document, stage);
  if (!isPositionDrill(drill)) return 0;
  try {
    return plannedWay(drill, buildTable(drill.table));
  } catch (error) {
    if (!isUnplayable(error)) throw error;
    return 0;
  }
}

/** Landings with how far the cue ball was to go; those of drills that have no planned way are left out. */
export async function withWays(db: Database, sums: readonly StrokeSums[]): Promise<readonly LandingSums[]> {
  const found: LandingSums[] = [];
  for (const { owner, drill, revision, stage, ...landings } of sums) {
    const key = [owner, epochOf(owner), drill, revision, stage].join('|');
    let way = known.get(key);
    if (way === undefined) {
      const entry = await readableRevision(db, owner, drill, revision);
      way = entry === undefined ? 0 : wayOf(entry, stage);
      known.set(key, way);
      // Each takes some milliseconds: others are served in between.
      await setImmediate();
    }
    if (way > 0) found.push({ ...landings, way });
  }
  return found;
}
