import Papa from 'papaparse';
import { EXPORTS, listExportRows, type ExportName, type ExportRow } from '../db/queries/exports.ts';
import { readable } from '../db/damaged.ts';
import { fromStored } from '../db/stored.ts';
import type { LongConnection } from '../db/longConnection.ts';

export function isExport(name: string): name is ExportName {
  return Object.hasOwn(EXPORTS, name);
}

/** One line a shot, of an attempt's log. */
function shotsOf({ log, ...attempt }: ExportRow): ExportRow[] {
  if (log === null || log === undefined) return [];
  const told = readable('attempts', attempt['attempt_id'], () => fromStored('log', log));
  return (told?.shots ?? []).map((shot, i) => ({
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

/** What a spreadsheet takes for the beginning of a formula: at the very beginning, or after blanks and new lines. */
const FORMULA = /^[\s\u00a0\ufeff]*[=+\-@|\t\r]/;

/** A number that the database tells as a text, as it does of what stands in a document. */
const NUMBER = /^-?\d+(\.\d+)?(e[+-]?\d+)?$/i;

/** A cell as it is written: a formula stays a text, an instant is ISO 8601. Numbers are numbers. */
function cellOf(value: unknown): unknown {
  if (value instanceof Date) return value.toISOString();
  return typeof value === 'string' && FORMULA.test(value) && !NUMBER.test(value) ? `'${value}` : value;
}

/** Everything of one sort as CSV with a head line, piece by piece. */
export async function* csvPieces(
  connection: LongConnection,
  clubId: string,
  name: ExportName,
): AsyncGenerator<string, void> {
  let header = true;
  for await (const rows of listExportRows(connection, clubId, name)) {
    const told = name === 'shots' ? rows.flatMap(shotsOf) : rows;
    if (told.length === 0) continue;
    yield csvOf(told, header);
    header = false;
  }
}

/** Lines of CSV. @param header with the names of the columns above them */
export function csvOf(rows: readonly ExportRow[], header: boolean): string {
  const plain = rows.map((row) =>
    Object.fromEntries(Object.entries(row).map(([key, value]) => [key, cellOf(value)])),
  );
  return `${Papa.unparse(plain, { header, newline: '\r\n' })}\r\n`;
}
