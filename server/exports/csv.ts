import Papa from 'papaparse';
import type { Pool } from 'mysql2/promise';
import { attemptLogSchema } from '../../core/records/attempt.ts';
import { EXPORTS, listExportRows, type ExportName, type ExportRow } from '../db/queries/exports.ts';
import { parseJson } from '../db/json.ts';

export function isExport(name: string): name is ExportName {
  return Object.hasOwn(EXPORTS, name);
}

/** One line a shot, of an attempt's log. */
function shotsOf({ log, ...attempt }: ExportRow): ExportRow[] {
  if (log === null || log === undefined) return [];
  return attemptLogSchema.validateSync(parseJson(log)).shots.map((shot, i) => ({
    ...attempt,
    shot: i + 1,
    ball: shot.ball,
    pocket: shot.pocket,
    potted: shot.potted.join(' '),
    in_off: shot.inOff,
    conditions_broken: shot.broken.join('; '),
    landing_x_m: shot.landing?.x ?? null,
    landing_y_m: shot.landing?.y ?? null,
    contact: shot.grade,
    side: shot.side,
    cause: shot.cause,
    luck: shot.luck,
    rescue: shot.rescue,
  }));
}

/**
 * Everything of one sort as CSV with a head line, piece by piece; what a spreadsheet would take for a formula is kept from
 * being one.
 */
export async function writeCsv(
  pool: Pool,
  clubId: string,
  name: ExportName,
  write: (text: string) => Promise<unknown>,
): Promise<void> {
  let header = true;
  for await (const rows of listExportRows(pool, clubId, name)) {
    const told = name === 'shots' ? rows.flatMap(shotsOf) : rows;
    if (told.length === 0) continue;
    const plain = told.map((row) =>
      Object.fromEntries(
        Object.entries(row).map(([key, value]) => [key, value instanceof Date ? value.toISOString() : value]),
      ),
    );
    await write(`${Papa.unparse(plain, { escapeFormulae: true, header, newline: '\r\n' })}\r\n`);
    header = false;
  }
}
