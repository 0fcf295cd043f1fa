import { driftByLandings } from '../../core/calibration/drift.ts';
import type { TableWatch } from '../../core/records/calibration.ts';
import type { Database } from '../db/pool.ts';
import { landingSums, listCalibrations } from '../db/queries/calibrations.ts';
import { tableLog } from '../db/queries/tables.ts';
import { withWays } from './ways.ts';

/** Landings of so many days are compared: long enough for many, short enough for a cloth. */
const DAYS = 60;
const DAY = 86_400_000;

/**
 * What watches over a table: its calibrations, and how its landings compare with those of the same players elsewhere. Landings from
 * before the card was changed last were held against another plan.
 */
export async function watchOf(
  db: Database,
  clubId: string,
  table: { readonly id: string; readonly preset: string },
  now: number,
): Promise<TableWatch> {
  const [calibrations, { revisions }] = await Promise.all([
    listCalibrations(db, table.id),
    tableLog(db, table.id),
  ]);
  const changed = revisions.find(({ revision }) => revision > 1)?.at;
  const since = new Date(Math.max(now - DAYS * DAY, changed === undefined ? 0 : new Date(changed).getTime()));
  const landings = driftByLandings(await withWays(db, await landingSums(db, clubId, table, since)));
  return { calibrations: [...calibrations], since: since.toISOString(), landings: landings ?? null };
}
