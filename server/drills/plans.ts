import { LRUCache } from 'lru-cache';
import { planShot, UnplayableDrillError, type PlannedShot } from '../../core/drill/plannedShot.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import { tableFingerprint, type Table } from '../../core/table/table.ts';
import type { StoredDrill } from '../db/queries/drills.ts';
import { epochOf } from '../db/epochs.ts';

/**
 * Solved drills, kept by revision and table: solving takes a tenth of a second, scoring a landing against a
 * solved drill microseconds. Pure results, so every server process may keep its own.
 */
const solved = new LRUCache<string, PlannedShot>({ max: 300 });

/** Tells plans apart. */
export const planKey = (
  { owner, document, revision, mirrored = false }: StoredDrill,
  stage: number,
  table: Table,
) => [owner, epochOf(owner), document.slug, revision, stage, mirrored, tableFingerprint(table)].join('|');

export const knownPlan = (key: string): boolean => solved.has(key);

/** Keeps a plan that was solved elsewhere. */
export function rememberPlan(key: string, plan: PlannedShot): void {
  solved.set(key, plan);
}

/**
 * The planned stroke of a position drill at a stage on a table.
 * @throws UnplayableDrillError when the drill cannot be played there, or has no single shot to plan
 */
export function planFor(entry: StoredDrill, stage: number, table: Table): PlannedShot {
  const key = planKey(entry, stage, table);
  const known = solved.get(key);
  if (known !== undefined) return known;
  const drill = atStage(entry.document, stage);
  if (!isPositionDrill(drill)) {
    throw new UnplayableDrillError(`${drill.slug}: it is not a drill of one planned shot`);
  }
  const plan = planShot(drill, table);
  rememberPlan(key, plan);
  return plan;
}
