import { planShot, type PlannedShot } from '../../core/drill/plannedShot.ts';
import type { DrillEntry } from '../../core/records/club.ts';
import { buildTable, tableFingerprint } from '../../core/table/table.ts';

/**
 * Solved drills, kept by revision and table: solving takes a tenth of a second, scoring a landing against a
 * solved drill microseconds. Pure results, so every server process may keep its own.
 */
const solved = new Map<string, PlannedShot>();

export function planFor({ document, revision }: DrillEntry): PlannedShot {
  const table = buildTable(document.table);
  const key = `${document.slug}|${String(revision)}|${tableFingerprint(table)}`;
  const known = solved.get(key);
  if (known !== undefined) return known;
  const plan = planShot(document, table);
  solved.set(key, plan);
  return plan;
}
