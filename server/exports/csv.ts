import Papa from 'papaparse';
import { EXPORTS, listExportRows, type ExportName, type ExportRow } from '../db/queries/exports.ts';
import { readable } from '../db/damaged.ts';
import { fromStored } from '../db/stored.ts';
import type { LongConnection } from '../db/longConnection.ts';
import { EXPORT_COLUMNS, explained, headingsOf, type Column } from './columns.ts';

export function isExport(name: string): name is ExportName {
  return Object.hasOwn(EXPORTS, name);
}

/** By it a spreadsheet knows that the file is UTF-8. */
const BYTE_ORDER_MARK = '\ufeff';

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

/** A text that is a number is no formula. */
const NUMBER = /^-?\d+(\.\d+)?(e[+-]?\d+)?$/i;

/** Digits after the point of what is measured: millimetres, and thousandths. */
const DIGITS = 3;
/** Of what is counted, where shares of a point are. */
const FEW_DIGITS = 2;

function rounded(value: unknown, digits: number): unknown {
  const number = typeof value === 'number' ? value : Number(value);
  return Number.isFinite(number) ? Number(number.toFixed(digits)) : value;
}

/** The database tells a flag as a number, a document as a word. */
const YES: readonly unknown[] = [true, 1, '1', 'true'];

/** "2026-11-24 19:05", as the clock of a zone shows it. */
function clockIn(zone: string): (at: Date) => string {
  const format = new Intl.DateTimeFormat('sv-SE', {
    timeZone: zone,
    dateStyle: 'short',
    timeStyle: 'short',
  });
  return (at) => format.format(at);
}

function cellsOf({ kind }: Column, value: unknown, clock: (at: Date) => string): readonly unknown[] {
  if (kind === 'time') {
    const at = typeof value === 'string' ? new Date(value) : value;
    return at instanceof Date ? [at.toISOString(), clock(at)] : [null, null];
  }
  if (value === null || value === undefined) return [null];
  switch (kind) {
    case 'metres':
    case 'share':
      return [rounded(value, DIGITS)];
    case 'number':
      return [rounded(value, FEW_DIGITS)];
    case 'yes or no':
      return [YES.includes(value) ? 'yes' : 'no'];
    case 'day':
    case 'text':
      // A formula stays a text.
      return [typeof value === 'string' && FORMULA.test(value) && !NUMBER.test(value) ? `'${value}` : value];
  }
}

interface CsvOptions {
  /** For times by the clock, as in "Europe/London". @throws RangeError where it is none */
  readonly zone: string;
  /** Whether it is the beginning of a file. */
  readonly begins: boolean;
}

/** Lines of CSV. */
export function csvOf(
  columns: readonly Column[],
  rows: readonly ExportRow[],
  { zone, begins }: CsvOptions,
): string {
  const clock = clockIn(zone);
  const data = rows.map((row) => columns.flatMap((each) => cellsOf(each, row[each.name], clock)));
  const lines = begins ? [columns.flatMap(headingsOf), ...data] : data;
  return `${begins ? BYTE_ORDER_MARK : ''}${Papa.unparse(lines, { newline: '\r\n' })}\r\n`;
}

/** Everything of one sort as CSV with a head line, piece by piece. */
export async function* csvPieces(
  connection: LongConnection,
  clubId: string,
  name: ExportName,
  zone: string,
): AsyncGenerator<string, void> {
  const columns = EXPORT_COLUMNS[name];
  yield csvOf(columns, [], { zone, begins: true });
  for await (const rows of listExportRows(connection, clubId, name)) {
    const told = name === 'shots' ? rows.flatMap(shotsOf) : rows;
    if (told.length > 0) yield csvOf(columns, told, { zone, begins: false });
  }
}

/** What the columns of all files mean, as CSV. */
export function columnsCsv(zone: string): string {
  return `${BYTE_ORDER_MARK}${Papa.unparse([...explained(zone)], { newline: '\r\n' })}\r\n`;
}
